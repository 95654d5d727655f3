package org.stratopneum.web.door.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.ui.Model;
import org.stratopneum.web.rider.RiderPrincipal;

/** Who asks for something of their account, and how they are answered. */
record Asked(RiderPrincipal rider, HttpServletRequest request, HttpServletResponse response, Model model) {}
