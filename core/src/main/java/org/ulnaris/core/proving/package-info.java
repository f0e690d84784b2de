/** Acceptance of readings: strip, strands, crimp, pull, torque. */
@NullMarked
package org.ulnaris.core.proving;

import org.jspecify.annotations.NullMarked;
