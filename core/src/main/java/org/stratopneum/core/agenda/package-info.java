/** What is due when, gathered from everything that makes things due. It sees all of the core; nothing sees it. */
package org.stratopneum.core.agenda;
