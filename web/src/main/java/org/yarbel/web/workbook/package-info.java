/**
 * Weeks of a plan as a workbook for those who live in spreadsheets: a sheet a week, loads as live formulas from a sheet of
 * numbers, the rounding to what loads included; and the way back in, where changed cells become edits.
 *
 * <p>{@link org.yarbel.web.workbook.LoadFormula} writes the rules of the resolver as formulas (a test has them recalculated by
 * another program and held against the core), {@link org.yarbel.web.workbook.WorkbookWriter} the sheets, {@link
 * org.yarbel.web.workbook.WorkbookReader} reads what comes back. Only coaches; a line of another lifter or club in a workbook
 * is no line. It may use club, journal, lifter, plan and program.
 */
@NullMarked
package org.yarbel.web.workbook;

import org.jspecify.annotations.NullMarked;

