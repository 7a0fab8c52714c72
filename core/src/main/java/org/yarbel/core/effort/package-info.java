/**
 * How hard a set is and what it says about the max: {@link org.yarbel.core.effort.Rpe}, the published
 * {@link org.yarbel.core.effort.RepMaxCurve}s, the {@link org.yarbel.core.effort.EffortChart} that joins them, and the
 * {@link org.yarbel.core.effort.PersonalChart} that a lifter's own sets to failure bend it to.
 */
@NullMarked
package org.yarbel.core.effort;

import org.jspecify.annotations.NullMarked;
