/**
 * The record of what happened to doors, rights and data, for the owners of a club: {@code audit} writes it, this shows it. It may use
 * club.
 */
@NullMarked
package org.yarbel.web.record;

import org.jspecify.annotations.NullMarked;
