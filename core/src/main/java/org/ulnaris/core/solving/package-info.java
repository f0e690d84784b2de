/** An installation solved in each of its cases, and every conductor of it sized for the worst of them. */
@NullMarked
package org.ulnaris.core.solving;

import org.jspecify.annotations.NullMarked;
