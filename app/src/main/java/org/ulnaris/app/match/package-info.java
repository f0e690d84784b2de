/** Lug, dies, sleeve and hardware of each end. */
@NullMarked
package org.ulnaris.app.match;

import org.jspecify.annotations.NullMarked;
