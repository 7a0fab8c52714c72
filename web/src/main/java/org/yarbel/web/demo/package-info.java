/**
 * Tarnbrook Barbell Hall, the made-up club of the demo, and keeping its dates near today.
 */
@NullMarked
package org.yarbel.web.demo;

import org.jspecify.annotations.NullMarked;
