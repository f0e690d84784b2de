/** The cable as its own navigation: what is written at each of its places and where a press leads. */
@NullMarked
package org.ulnaris.app.ribbon;

import org.jspecify.annotations.NullMarked;
