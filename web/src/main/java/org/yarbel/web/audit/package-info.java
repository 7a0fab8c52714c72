/**
 * What happened to the locks: who signed in or out, who was refused, whose rights changed, what left the house. {@link
 * org.yarbel.web.audit.SecurityLog} writes it line by line into a file of its own; no page reads it, and nothing secret is in
 * it.
 */
@NullMarked
package org.yarbel.web.audit;

import org.jspecify.annotations.NullMarked;
