/** A pressure without an account: everything that is typed stays in the address. */
package org.stratopneum.web.door.visitor;
