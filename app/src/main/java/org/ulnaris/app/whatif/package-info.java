/** A job changed on trial: before and after of every cable, to be taken or dropped. */
@NullMarked
package org.ulnaris.app.whatif;

import org.jspecify.annotations.NullMarked;
