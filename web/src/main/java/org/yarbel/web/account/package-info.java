/**
 * Who is signed in and how: sign-in, the first owner's account, roles, limits on failed attempts.
 */
@NullMarked
package org.yarbel.web.account;

import org.jspecify.annotations.NullMarked;

