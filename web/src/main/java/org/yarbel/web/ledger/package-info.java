/** The Ledger: every set of a lift and the tracked max behind it. */
@NullMarked
package org.yarbel.web.ledger;

import org.jspecify.annotations.NullMarked;
