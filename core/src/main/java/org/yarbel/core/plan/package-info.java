/**
 * How lines of work stand together. {@link org.yarbel.core.plan.Group} is a superset, a circuit, a giant set or a medley;
 * {@link org.yarbel.core.plan.SetOrder} puts the sets of a whole session in the order they are lifted, with the rest
 * after each.
 */
@NullMarked
package org.yarbel.core.plan;

import org.jspecify.annotations.NullMarked;
