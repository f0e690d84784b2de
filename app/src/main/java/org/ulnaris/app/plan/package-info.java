/** Cables of a job and their sizes. */
@NullMarked
package org.ulnaris.app.plan;

import org.jspecify.annotations.NullMarked;
