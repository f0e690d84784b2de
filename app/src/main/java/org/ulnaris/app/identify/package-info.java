/** What an unmarked cable or bar is, from what can be measured on it. */
@NullMarked
package org.ulnaris.app.identify;

import org.jspecify.annotations.NullMarked;
