/** Files in and out, REST. */
@NullMarked
package org.ulnaris.app.exchange;

import org.jspecify.annotations.NullMarked;
