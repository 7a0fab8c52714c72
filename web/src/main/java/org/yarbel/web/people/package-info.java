/**
 * Who is in a club and how they come into it: links that let somebody in once ({@link org.yarbel.web.people.EntryLinks}), as an
 * invitation or for a forgotten password; letters on their way; roles; whose lifters are whose. What a person signs in with is
 * {@code account}'s. Coaches let lifters in, owners everybody. It may use account and club.
 */
@NullMarked
package org.yarbel.web.people;

import org.jspecify.annotations.NullMarked;
