/**
 * The Kit room: what each place of the club owns. A place's kit is one document of the core's {@link
 * org.yarbel.core.kit.PlaceKit}; it is changed as a whole, and every change can be undone. Only coaches; a place is of the
 * club of who asks. It may use club and skyline.
 */
@NullMarked
package org.yarbel.web.kitroom;

import org.jspecify.annotations.NullMarked;
