/** Schools and limits in which good practice differs, to be chosen by the house. */
@NullMarked
package org.ulnaris.core.rules;

import org.jspecify.annotations.NullMarked;
