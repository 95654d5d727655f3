/** Mail out, and the simulated mail server that ships with it. */
package org.stratopneum.web.platform.mail;
