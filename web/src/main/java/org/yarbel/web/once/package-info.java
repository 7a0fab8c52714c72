/**
 * Two hands at once, and one hand twice: a form that is sent twice is done once ({@link org.yarbel.web.once.OnceInterceptor}),
 * a change that lost against another one is tried once more ({@link org.yarbel.web.once.TwiceDispatcher}), and only then
 * somebody is told, with what the other did.
 */
@NullMarked
package org.yarbel.web.once;

import org.jspecify.annotations.NullMarked;

