/** The current a conductor may carry: one class a published method, derating. */
@NullMarked
package org.ulnaris.core.rating;

import org.jspecify.annotations.NullMarked;
