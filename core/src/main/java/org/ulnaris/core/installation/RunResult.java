package org.ulnaris.core.installation;

import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.sizing.SizingResult;

/**
 * A run sized for the worst of all cases.
 *
 * @param run the run
 * @param worstCase name of the case with its greatest current; empty when no current ever flows
 * @param continuousA that current, A
 * @param surgeA greatest current with surges, A
 * @param surgeS longest surge that it sees, s
 * @param sizing its ladder
 * @param inUse the rung in use: fixed by hand, else the proposal, else the thickest
 */
public record RunResult(
        Run run, String worstCase, double continuousA, double surgeA, double surgeS, SizingResult sizing, Rung inUse) {}
