/**
 * The Workbench: quick sums. Every tool is a form that is sent as a link, so that a result can be passed on; the sums are the
 * core's, as those of the calculator API are. Everybody who is signed in; it asks for nobody's data. It may use club and
 * skyline.
 */
@NullMarked
package org.yarbel.web.workbench;

import org.jspecify.annotations.NullMarked;
