package org.ulnaris.app.match;

import org.ulnaris.core.finding.Verdict;

/**
 * A lug, contact or pair of dies that a person may choose.
 *
 * @param code its name in the catalogue, or the tag of dies
 * @param told why it is proposed, or in what it differs; what dies would do
 * @param inUse whether it is the one that the end is planned with
 */
public record Choice(String code, String told, Verdict verdict, boolean inUse) {}
