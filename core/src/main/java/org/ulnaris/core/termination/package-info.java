/** Lugs, heat-shrink, strip and cut length. */
@NullMarked
package org.ulnaris.core.termination;

import org.jspecify.annotations.NullMarked;
