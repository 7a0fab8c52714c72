/**
 * What was lifted, and the tracked max that follows from it. {@link org.yarbel.web.log.Tracking} goes on with the core's
 * tracker where a set is logged, and runs it anew from the day before where one is corrected. A set knows its line by its ref.
 * It shows no page. It may use club and lifter.
 */
@NullMarked
package org.yarbel.web.log;

import org.jspecify.annotations.NullMarked;
