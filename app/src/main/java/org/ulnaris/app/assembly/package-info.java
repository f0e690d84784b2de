/** Puts what the features keep of a job together as the core's model, and keeps what was worked out of it. */
@NullMarked
package org.ulnaris.app.assembly;

import org.jspecify.annotations.NullMarked;
