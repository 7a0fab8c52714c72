/**
 * The calculator API: the same core as the pages, without sign-in, session or cookie. Open to everybody, limited in calls by
 * {@link org.yarbel.web.edge}; it knows nothing that is stored. It may use club.
 */
@NullMarked
package org.yarbel.web.api;

import org.jspecify.annotations.NullMarked;
