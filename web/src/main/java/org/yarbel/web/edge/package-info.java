/**
 * What every request passes before a page is asked, and what every answer keeps to: text without signs that no person types
 * ({@link org.yarbel.web.edge.CleanRequest}), bodies cut at their limit while they are read ({@link
 * org.yarbel.web.edge.BodyGuard}), addresses and proxies that are believed ({@link org.yarbel.web.edge.Address}), and whom
 * {@code /health} answers ({@link org.yarbel.web.edge.HealthGuard}). It knows no screen and no club.
 */
@NullMarked
package org.yarbel.web.edge;

import org.jspecify.annotations.NullMarked;

