/** Finds anything by a few letters of its name. */
@NullMarked
package org.ulnaris.app.find;

import org.jspecify.annotations.NullMarked;
