/** All findings of a job on one board. */
@NullMarked
package org.ulnaris.app.board;

import org.jspecify.annotations.NullMarked;
