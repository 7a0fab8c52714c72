/**
 * How hard a set is and what it says about the max: {@link org.yarbel.core.effort.Rpe}, the published
 * {@link org.yarbel.core.effort.RepMaxCurve}s, and the {@link org.yarbel.core.effort.EffortChart} that joins them, bent to a
 * lifter's own by what the tracker learns.
 */
@NullMarked
package org.yarbel.core.effort;

import org.jspecify.annotations.NullMarked;
