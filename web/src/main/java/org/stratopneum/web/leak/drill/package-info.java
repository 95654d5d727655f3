/** Practice: a hidden fault with a story, found by checks that cost minutes. */
package org.stratopneum.web.leak.drill;
