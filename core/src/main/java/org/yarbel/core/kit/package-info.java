/**
 * What loads, and how: a {@link org.yarbel.core.kit.Kit} is a bar, its collars and a limited
 * {@link org.yarbel.core.kit.PlateStock}; {@link org.yarbel.core.kit.Loadables} answers which totals it makes and which
 * plates make them. A load that cannot be put on the bar is not a plan.
 */
@NullMarked
package org.yarbel.core.kit;

import org.jspecify.annotations.NullMarked;
