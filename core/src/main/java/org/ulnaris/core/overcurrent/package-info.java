/** Overcurrent protection: what can feed each conductor, what opens when too much flows, how far it sits, and what a short circuit draws. */
@NullMarked
package org.ulnaris.core.overcurrent;

import org.jspecify.annotations.NullMarked;
