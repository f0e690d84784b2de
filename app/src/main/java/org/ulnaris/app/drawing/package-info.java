/** Workshop drawings as geometry in millimetres. */
@NullMarked
package org.ulnaris.app.drawing;

import org.jspecify.annotations.NullMarked;
