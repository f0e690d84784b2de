/** From a demand to the smallest size that passes every check. */
@NullMarked
package org.ulnaris.core.sizing;

import org.jspecify.annotations.NullMarked;
