/**
 * The Week board: writing the week, resolved and read out while typing. {@link org.yarbel.web.board.PlanService} makes
 * every change to a line, {@code Arranging} every change to how the lines of a session stand together, so that each keeps
 * what stood before and can be undone. {@link org.yarbel.web.board.LineView} is a line as it is shown beside its field.
 */
@NullMarked
package org.yarbel.web.board;

import org.jspecify.annotations.NullMarked;
