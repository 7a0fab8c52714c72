/**
 * The plan as it is stored, sessions and their slots of notation, and {@link org.yarbel.web.plan.LifterContext}, which
 * hands a line with its lifter's numbers and kit to the core.
 */
@NullMarked
package org.yarbel.web.plan;

import org.jspecify.annotations.NullMarked;
