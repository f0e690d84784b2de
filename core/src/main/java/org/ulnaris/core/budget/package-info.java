/** Splits the drop that paths may have over their cables for the least copper or the least cost. */
@NullMarked
package org.ulnaris.core.budget;

import org.jspecify.annotations.NullMarked;
