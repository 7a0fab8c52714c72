/**
 * What a club holds, as a whole: which tables there are and whose rows stand in them ({@link org.yarbel.web.holdings.Tables}), all of a
 * club or of a lifter out as an open ZIP and a club in again, and a lifter's data gone for good. Columns are the database's own, so that a
 * new one is carried by itself; a new table must be named. It speaks SQL and names the club itself. It may use clip and club.
 */
@NullMarked
package org.yarbel.web.holdings;

import org.jspecify.annotations.NullMarked;
