package org.yarbel.core.notation;

/**
 * A place in a typed line, in UTF-16 units.
 *
 * @param from the first unit
 * @param to the unit behind the last; equal to {@code from} where something is missing
 */
public record Span(int from, int to) {}
