/**
 * The Week board: writing a lifter's week, resolved and read out while typing. {@link org.yarbel.web.board.BoardService} puts
 * together what the page shows; what is written goes through {@code edit} and is taken back through {@code journal}. Only
 * coaches; every lifter, session and line is one of the club of who asks. It may use card, club, edit, journal, lifter, line,
 * log, plan, program and watch.
 */
@NullMarked
package org.yarbel.web.board;

import org.jspecify.annotations.NullMarked;
