/**
 * The application: one package a screen, each with its controller, service, repository and entities; templates under
 * the same name in {@code resources/templates}. Rules and numbers of the job are asked of {@code org.yarbel.core};
 * nothing here computes a load.
 */
@NullMarked
package org.yarbel.web;

import org.jspecify.annotations.NullMarked;
