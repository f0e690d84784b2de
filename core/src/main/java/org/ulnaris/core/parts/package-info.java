/** What a job is made of: the parts that its cables take, and what is to be bought for them. */
@NullMarked
package org.ulnaris.core.parts;

import org.jspecify.annotations.NullMarked;
