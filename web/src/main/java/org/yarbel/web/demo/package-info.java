/**
 * Tarnbrook Barbell Hall, the made-up club of the demo, and keeping its dates near today. {@link
 * org.yarbel.web.demo.DemoStart} makes it where the application is started for it and nothing stands yet; nobody asks it for
 * anything. It may use account, card, clip, club, contest, group, library, lifter, log, plan, platform, program and session.
 */
@NullMarked
package org.yarbel.web.demo;

import org.jspecify.annotations.NullMarked;
