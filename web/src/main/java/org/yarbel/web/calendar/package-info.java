/**
 * The days of a lifter for calendars, by RFC 5545: a file, and a private address that a calendar program asks by itself.
 * Coaches, and a lifter for their own; whoever has the address can read it without signing in, so it is long, kept as a hash
 * only, and can be revoked. It may use club, contest, lifter, plan and program.
 */
@NullMarked
package org.yarbel.web.calendar;

import org.jspecify.annotations.NullMarked;
