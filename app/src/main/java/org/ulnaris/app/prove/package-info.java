/** Readings and verdicts of a job. */
@NullMarked
package org.ulnaris.app.prove;

import org.jspecify.annotations.NullMarked;
