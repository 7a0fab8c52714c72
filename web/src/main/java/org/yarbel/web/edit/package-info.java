/**
 * What a coach does to a lifter's plan: {@link org.yarbel.web.edit.PlanService} writes single lines, {@link
 * org.yarbel.web.edit.Arranging} how the lines of a session stand together, {@link org.yarbel.web.edit.Batches} many at once.
 * Each hands its change to {@link org.yarbel.web.journal.PlanWriter}, and the screens call them: the board, the grid, groups,
 * the library. Only coaches; every lifter, session and line is one of the club of who asks. It may use club, journal, lifter,
 * plan and program.
 */
@NullMarked
package org.yarbel.web.edit;

import org.jspecify.annotations.NullMarked;
