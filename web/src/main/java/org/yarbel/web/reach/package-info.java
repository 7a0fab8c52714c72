/**
 * How phones come to the club: the address as a square for the camera, and the root of the club's own authority with the steps to trust
 * it, for everybody without a sign-in.
 */
@NullMarked
package org.yarbel.web.reach;

import org.jspecify.annotations.NullMarked;
