/** The dies of the shop. */
@NullMarked
package org.ulnaris.app.crib;

import org.jspecify.annotations.NullMarked;
