/** What was done and read at the bench, judged against the plan as it is now: what was made outranks what was planned. */
@NullMarked
package org.ulnaris.core.record;

import org.jspecify.annotations.NullMarked;
