/** What a person says of a cable in one line of plain trade speech. */
@NullMarked
package org.ulnaris.core.ask;

import org.jspecify.annotations.NullMarked;
