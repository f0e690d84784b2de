/** In what order the ends of a job are landed, and what is live meanwhile. */
@NullMarked
package org.ulnaris.core.landing;

import org.jspecify.annotations.NullMarked;
