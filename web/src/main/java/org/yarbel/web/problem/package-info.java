/**
 * What a person sees when something is wrong: one page for all, no stack trace.
 */
@NullMarked
package org.yarbel.web.problem;

import org.jspecify.annotations.NullMarked;

