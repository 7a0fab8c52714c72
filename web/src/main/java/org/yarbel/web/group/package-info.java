/**
 * Groups of lifters, and their weeks beside each other: a line written for all of a group is written for each with their own
 * loads ({@link org.yarbel.web.group.GroupBoards}), and undone for all at once. Only coaches; a group is of the club of who
 * asks, and so is everybody in it. It may use club, edit, grid, journal, lifter and plan.
 */
@NullMarked
package org.yarbel.web.group;

import org.jspecify.annotations.NullMarked;
