/** The frame that every page and feature stands in: security, entries, words, figures. */
@NullMarked
package org.ulnaris.app.shell;

import org.jspecify.annotations.NullMarked;
