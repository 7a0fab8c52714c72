/** Tests of the Platform: entries and their conflicts, the pages, what goes into the log, and a phone without a signal. */
@NullMarked
package org.yarbel.web.platform;

import org.jspecify.annotations.NullMarked;
