/**
 * Pictures drawn as SVG on the server: the skyline of a session, plates on a sleeve, sparklines and the ledger's chart. The
 * classes compute coordinates; templates draw them.
 */
@NullMarked
package org.yarbel.web.skyline;

import org.jspecify.annotations.NullMarked;
