/** Fuses, fault current, short-circuit withstand, position, selectivity. */
@NullMarked
package org.ulnaris.core.protection;

import org.jspecify.annotations.NullMarked;
