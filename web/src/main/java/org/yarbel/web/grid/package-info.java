/**
 * Weeks as tables: several weeks of one lifter beside each other ({@link org.yarbel.web.grid.Grid}), and one week as rows of a
 * spreadsheet that can be taken back ({@link org.yarbel.web.grid.Sheet}). Only coaches; every lifter is one of the club of who
 * asks. It may use card, club, edit, lifter, line, log, plan and program.
 */
@NullMarked
package org.yarbel.web.grid;

import org.jspecify.annotations.NullMarked;
