/** A whole job as values: what it is built of, what is said of each cable and its ends, what there is to choose from. */
@NullMarked
package org.ulnaris.core.job;

import org.jspecify.annotations.NullMarked;
