/**
 * Made-up lifters who lift what they are given: {@link org.yarbel.core.sim.SimulatedLifter} has a true max nobody sees,
 * good and bad days and a way of rating, its {@link org.yarbel.core.sim.Traits}. The demo's logs come from here.
 * {@link org.yarbel.core.sim.TrackerTrial} asks lifters of every {@link org.yarbel.core.sim.LifterKind} how true the tracked max is.
 */
@NullMarked
package org.yarbel.core.sim;

import org.jspecify.annotations.NullMarked;
