/**
 * The calculator API: the same core as the pages, without sign-in, session or cookie.
 */
@NullMarked
package org.yarbel.web.api;

import org.jspecify.annotations.NullMarked;
