/**
 * The Lifter: body, place, numbers per lift, and the sign-in of a lifter.
 */
@NullMarked
package org.yarbel.web.lifter;

import org.jspecify.annotations.NullMarked;
