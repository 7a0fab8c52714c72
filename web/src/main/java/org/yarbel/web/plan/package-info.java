/**
 * The plan as it is stored: sessions with their groups, slots of notation with what is said beside the work. And
 * {@link org.yarbel.web.plan.LifterContext}, which hands a session's lines with their lifter's numbers and kit to the core.
 */
@NullMarked
package org.yarbel.web.plan;

import org.jspecify.annotations.NullMarked;
