/** The application around core. */
@NullMarked
package org.ulnaris.app;

import org.jspecify.annotations.NullMarked;
