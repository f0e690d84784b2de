/** Jobs: make, change, copy, archive, delete. */
@NullMarked
package org.ulnaris.app.job;

import org.jspecify.annotations.NullMarked;
