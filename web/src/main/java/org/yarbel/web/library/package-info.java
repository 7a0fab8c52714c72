/**
 * The library: sessions, weeks and blocks a club keeps to use again, for one lifter or a group.
 *
 * <p>A {@link org.yarbel.web.library.Template} is a document in the open format of {@code docs/formats}; {@link
 * org.yarbel.web.library.TemplateFormat} checks what comes in by the published JSON Schema. Work is text, so the loads are
 * worked out for whoever it is used for. It may use club, edit, group, lifter and plan.
 */
@NullMarked
package org.yarbel.web.library;

import org.jspecify.annotations.NullMarked;
