/**
 * Devices that measure the bar: each has a token of its own, which can be revoked, and sends the reps of a set by an open format;
 * {@link org.yarbel.web.device.Devices} finds the logged set they belong to, whichever comes first. A simulated sensor plays reps from
 * the page. It may use club, lifter and log.
 */
@NullMarked
package org.yarbel.web.device;

import org.jspecify.annotations.NullMarked;
