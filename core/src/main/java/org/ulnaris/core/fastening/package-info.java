/** Studs, hardware stacks, preload and torque. */
@NullMarked
package org.ulnaris.core.fastening;

import org.jspecify.annotations.NullMarked;
