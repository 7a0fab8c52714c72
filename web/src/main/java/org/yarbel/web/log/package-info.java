/**
 * What was lifted, and the tracked max that follows from it. {@link org.yarbel.web.log.Tracking} re-runs the core's
 * tracker whenever the log of a lift changes.
 */
@NullMarked
package org.yarbel.web.log;

import org.jspecify.annotations.NullMarked;
