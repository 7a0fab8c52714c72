/**
 * A line of work as any screen shows it: {@link org.yarbel.web.line.LineView} has its loads, the line read out, its skyline,
 * what is to be minded, or what is wrong and where. It knows no screen. It may use card, lifter, plan and skyline.
 */
@NullMarked
package org.yarbel.web.line;

import org.jspecify.annotations.NullMarked;
