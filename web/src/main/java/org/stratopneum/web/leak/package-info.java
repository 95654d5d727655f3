/** The search for a leak: on a wheel of the garage, kept and gone on with, or as a visitor with all of it in the address. */
package org.stratopneum.web.leak;
