/** Overcurrent protection: every conductor against all that can feed it, what opens, how far it sits, and in what time. */
@NullMarked
package org.ulnaris.core.overcurrent;

import org.jspecify.annotations.NullMarked;
