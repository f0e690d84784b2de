/** The lugs of the shop. */
@NullMarked
package org.ulnaris.app.stock;

import org.jspecify.annotations.NullMarked;
