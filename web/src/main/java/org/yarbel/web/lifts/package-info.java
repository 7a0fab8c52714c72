/** The lift catalogue: ours as a family tree, and the lifts a club adds to it. */
@NullMarked
package org.yarbel.web.lifts;

import org.jspecify.annotations.NullMarked;
