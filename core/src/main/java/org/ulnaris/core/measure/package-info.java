/** What people write and SI: quantities, units, rounding at output. */
@NullMarked
package org.ulnaris.core.measure;

import org.jspecify.annotations.NullMarked;
