/**
 * A line of work as any screen shows it: {@link org.yarbel.web.line.LineView} has its loads, the line read out, its skyline, what
 * is to be minded, or what is wrong and where. It may use plan, card and skyline, and knows no screen.
 */
@NullMarked
package org.yarbel.web.line;

import org.jspecify.annotations.NullMarked;
