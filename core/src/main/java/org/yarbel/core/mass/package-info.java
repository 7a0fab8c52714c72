/**
 * Masses and their units. Start at {@link org.yarbel.core.mass.Mass}: a whole number of nanograms with the unit it
 * was entered in beside it, so that kilogram and pound plates add up exactly.
 */
@NullMarked
package org.yarbel.core.mass;

import org.jspecify.annotations.NullMarked;
