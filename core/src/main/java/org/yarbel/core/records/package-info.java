/**
 * Reads training that was kept elsewhere: tables of every coach's own kind, a row a set, a row several sets, or a row a day with a column
 * a lift. {@link org.yarbel.core.records.Guess} looks at the head and the first rows and says what each column seems to be and what is
 * unclear; {@link org.yarbel.core.records.RowReader} reads a row by what was decided, into sets or into the reason why it cannot. It
 * never guesses silently about a unit, an order of days or a comma.
 */
@NullMarked
package org.yarbel.core.records;

import org.jspecify.annotations.NullMarked;
