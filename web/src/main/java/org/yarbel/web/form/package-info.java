/**
 * Reading what was typed: {@link org.yarbel.web.form.Typed} answers with a sentence for every field that cannot be, and
 * nothing typed is lost.
 */
@NullMarked
package org.yarbel.web.form;

import org.jspecify.annotations.NullMarked;
