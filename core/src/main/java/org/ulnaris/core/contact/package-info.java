/** Ends other than tube lugs: contacts of connectors, small terminals, solder sleeves, ferrules. */
@NullMarked
package org.ulnaris.core.contact;

import org.jspecify.annotations.NullMarked;
