/**
 * The lift catalogue: ours as a family tree, and the lifts a club adds to it. Only coaches; the added ones are the club's own.
 * It may use club.
 */
@NullMarked
package org.yarbel.web.lifts;

import org.jspecify.annotations.NullMarked;
