/** One line of plain trade speech, answered on the first page. */
@NullMarked
package org.ulnaris.app.answer;

import org.jspecify.annotations.NullMarked;
