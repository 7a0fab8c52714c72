/**
 * The Floor: who trains today, and finding anyone.
 */
@NullMarked
package org.yarbel.web.floor;

import org.jspecify.annotations.NullMarked;
