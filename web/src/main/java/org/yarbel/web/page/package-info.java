/**
 * What all pages have in common on their way out: {@link org.yarbel.web.page.TightTemplates} and {@link
 * org.yarbel.web.page.TightDialect} leave out what no reader sees, {@link org.yarbel.web.page.ChoiceDialect} writes lists of what
 * can be chosen, {@link org.yarbel.web.page.StampedFiles} puts their stamps into the addresses of styles and scripts. It uses
 * nothing of the application.
 */
@NullMarked
package org.yarbel.web.page;

import org.jspecify.annotations.NullMarked;
