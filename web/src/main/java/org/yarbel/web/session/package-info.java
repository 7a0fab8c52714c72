/**
 * What is said of a whole session beside its sets: how somebody came to it ({@link org.yarbel.web.session.CheckedIn}), when, where,
 * how hard and how long it was ({@link org.yarbel.web.session.SessionLog}), and the words between lifter and coach ({@link
 * org.yarbel.web.session.SessionWord}). {@link org.yarbel.web.session.SessionNotes} writes it down; the Card and the Floor show it.
 * It shows no page. It may use club and plan.
 */
@NullMarked
package org.yarbel.web.session;

import org.jspecify.annotations.NullMarked;
