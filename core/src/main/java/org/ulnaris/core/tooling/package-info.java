/** Tools, what they can close, how far they are trusted, and what a crib lacks. */
@NullMarked
package org.ulnaris.core.tooling;

import org.jspecify.annotations.NullMarked;
