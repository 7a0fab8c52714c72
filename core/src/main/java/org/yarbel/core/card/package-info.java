/**
 * From a line of the plan to what is put on the bar. {@link org.yarbel.core.card.Resolver} works a line out for one
 * lifter's {@link org.yarbel.core.card.MaxNumbers} and the kit: {@code PartResolver} has a method a kind of work,
 * {@code LoadFinder} one a kind of load, {@code Hanging} knows chains and bands, {@code Progress} the sets so far.
 * {@link org.yarbel.core.card.WarmUpRamp} leads up to the first set, for a lifter as warm as
 * {@link org.yarbel.core.card.Warmth} says, in the steps of a {@link org.yarbel.core.card.HandRamp} where somebody wrote
 * one. {@link org.yarbel.core.card.BackOffTable} says beforehand what each back-off becomes for every load the top set may
 * come out at, so that a phone looks loads up and computes none. What to mind is a
 * {@link org.yarbel.core.card.Caution}, with its reason.
 */
@NullMarked
package org.yarbel.core.card;

import org.jspecify.annotations.NullMarked;
