/**
 * What loads, and how. A {@link org.yarbel.core.kit.PlaceKit} is all that a place owns and says what a lift takes of it:
 * a {@link org.yarbel.core.kit.Kit} (a bar, its collars and a limited {@link org.yarbel.core.kit.PlateStock}) or things
 * lifted as they are. {@link org.yarbel.core.kit.Loadables} answers which totals that makes and which plates make them,
 * {@link org.yarbel.core.kit.PlateSeries} for one load after another, {@link org.yarbel.core.kit.LoadCurve} with bands
 * and chains. A load that cannot be put on the bar is not a plan.
 */
@NullMarked
package org.yarbel.core.kit;

import org.jspecify.annotations.NullMarked;
