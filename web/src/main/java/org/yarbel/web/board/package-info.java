/**
 * The Week board: writing the week, resolved while typing. {@link org.yarbel.web.board.PlanService} makes every change
 * to the plan, so that each keeps what stood before and can be undone.
 */
@NullMarked
package org.yarbel.web.board;

import org.jspecify.annotations.NullMarked;
