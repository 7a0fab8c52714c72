/**
 * Who is signed in and how: sign-in, the first owner's account, roles, limits on failed attempts, and the password of one's
 * own. {@link org.yarbel.web.account.SecurityConfig} says which addresses lifters may ask for; everything else is the
 * coaches'. Everybody changes their own password and ends their own sign-ins alone. It may use club.
 */
@NullMarked
package org.yarbel.web.account;

import org.jspecify.annotations.NullMarked;

