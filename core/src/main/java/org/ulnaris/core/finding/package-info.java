/** Verdicts with their reason: findings, sources, explanations. */
@NullMarked
package org.ulnaris.core.finding;

import org.jspecify.annotations.NullMarked;
