/** The plan of a finished end and of a cable, and the steps to build it. */
@NullMarked
package org.ulnaris.core.making;

import org.jspecify.annotations.NullMarked;
