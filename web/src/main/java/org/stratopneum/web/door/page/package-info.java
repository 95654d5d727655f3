/** What all pages share: how they are answered, and what is said when something is not there. */
package org.stratopneum.web.door.page;
