/**
 * What the log says about a lifter. {@link org.yarbel.core.track.MaxTracker} runs the sets of one lift, as
 * {@link org.yarbel.core.track.Observation}s, through a scalar filter and publishes an estimate with its standard
 * deviation. {@link org.yarbel.core.track.VariationRatio} learns what of a parent's max a variation makes,
 * {@link org.yarbel.core.track.RatingBias} and {@link org.yarbel.core.track.RatingEvidence} judge ratings,
 * {@link org.yarbel.core.track.SpeedProfile} reads the speed of the bar, {@link org.yarbel.core.track.MissedSingles} what
 * misses ask for.
 */
@NullMarked
package org.yarbel.core.track;

import org.jspecify.annotations.NullMarked;
