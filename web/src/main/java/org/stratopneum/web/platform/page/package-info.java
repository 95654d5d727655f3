/** How pages are written out: what their templates have beside the standard, and what makes them quick. */
package org.stratopneum.web.platform.page;
