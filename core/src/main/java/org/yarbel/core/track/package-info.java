/**
 * What the log says about a lifter's max. {@link org.yarbel.core.track.MaxTracker} runs the sets of one lift, as
 * {@link org.yarbel.core.track.Observation}s, through a scalar filter and publishes an estimate with its standard
 * deviation.
 */
@NullMarked
package org.yarbel.core.track;

import org.jspecify.annotations.NullMarked;
