/** Mends a finding by one press: what is offered was worked out and found to mend it, and can be taken back. */
@NullMarked
package org.ulnaris.app.fix;

import org.jspecify.annotations.NullMarked;
