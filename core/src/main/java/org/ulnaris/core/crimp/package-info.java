/** Dies, compaction, number and places of crimps. */
@NullMarked
package org.ulnaris.core.crimp;

import org.jspecify.annotations.NullMarked;
