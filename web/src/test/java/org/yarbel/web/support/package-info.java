/** What the tests stand on: the real application on a real PostgreSQL, and one browser for all. */
@NullMarked
package org.yarbel.web.support;

import org.jspecify.annotations.NullMarked;
