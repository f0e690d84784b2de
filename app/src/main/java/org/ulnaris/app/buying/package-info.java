/** What the open jobs still take, and what is to be bought for them. */
@NullMarked
package org.ulnaris.app.buying;

import org.jspecify.annotations.NullMarked;
