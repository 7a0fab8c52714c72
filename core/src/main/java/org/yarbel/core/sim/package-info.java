/**
 * Made-up lifters who lift what they are given: {@link org.yarbel.core.sim.SimulatedLifter} has a true max nobody sees,
 * good and bad days and a way of rating. The demo's logs come from here, and tests try the tracker on them.
 */
@NullMarked
package org.yarbel.core.sim;

import org.jspecify.annotations.NullMarked;
