/** Splits what paths may lose over the cables of a job. */
@NullMarked
package org.ulnaris.app.budget;

import org.jspecify.annotations.NullMarked;
