/**
 * Training that was kept elsewhere comes in: a table of any kind is read as it comes ({@link org.yarbel.web.records.SheetReader}), its
 * columns are guessed by the core and decided by the coach, every doubt is shown by its row, and then it goes into the log in the
 * background, all of it or nothing, to be undone as one. Only coaches; a lifter is one of the club of who asks. It may use club, job and
 * lifter.
 */
@NullMarked
package org.yarbel.web.records;

import org.jspecify.annotations.NullMarked;
