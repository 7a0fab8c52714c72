/**
 * The Ledger: every set of a lift and the tracked max behind it, a page of sets at a time. Coaches, and a lifter for their
 * own. It may use clip, club, lifter, log and program.
 */
@NullMarked
package org.yarbel.web.ledger;

import org.jspecify.annotations.NullMarked;
