/**
 * What a person sees when something is wrong: one page for all, no stack trace. {@link org.yarbel.web.problem.NotFound} is for
 * what does not exist for who asks. Everything may use it; it uses nothing.
 */
@NullMarked
package org.yarbel.web.problem;

import org.jspecify.annotations.NullMarked;
