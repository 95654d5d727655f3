/** The web application: one package for each thing a rider does, on top of the core. */
package org.stratopneum.web;
