/** Slows what may be tried a few times and not a thousand: guessing, making accounts, sending mail to somebody. */
package org.stratopneum.web.platform.guard;
