package org.ulnaris.app.plan;

/**
 * What the loads ask of a cable.
 *
 * @param worstCase the case that asks most
 * @param currentA continuous current in it, A
 * @param surgeA greatest current with surges, A
 * @param surgeS how long a surge lasts, s
 */
public record CableLoad(String worstCase, double currentA, double surgeA, double surgeS) {}
