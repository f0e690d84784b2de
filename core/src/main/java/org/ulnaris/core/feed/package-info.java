/** What can feed each conductor: for good through fuses and chargers, and into a short circuit. */
@NullMarked
package org.ulnaris.core.feed;

import org.jspecify.annotations.NullMarked;
