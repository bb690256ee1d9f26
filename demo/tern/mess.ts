/** What years of quick fixes leave behind: the old green and blue in every notation. */
export const customCss = `/* Prices on cards, spring */
.card .price { color: #1c5a54; font-weight: 700; }
.card:hover { box-shadow: 0 6px 22px rgba(28, 90, 84, .18); }

/* Sold out ribbon. Do not touch the #1c5a54 in this comment. */
.ribbon { background: #D65A2A; color: white; border: 1px solid rgb(214 90 42); }
.ribbon::after { content: "#1c5a54 is not a colour here"; }

/* Journal */
.quote { border-left-color: hsl(174, 53%, 23%); }
.teal { font-family: Teal, serif; }
#fade { animation: red 2s; }

/* Newsletter box, from the summer sale */
.newsletter { background: linear-gradient(90deg, #DCE5E0 0%, #f7f2e7 100%); border-top: 3px solid #2e6fb7; }
.newsletter small { color: rgb(46, 111, 183); }

/* Chat bubble */
.helpdesk-open { background: #205c58 !important; color: #fff; }
.helpdesk-open:hover { background: var(--slot-ink); }
`

export const chatSnippet = `<div class="helpdesk" style="display:flex;gap:12px;align-items:center">
  <span class="helpdesk-open" style="background:#1C5A54;color:#ffffff;padding:10px 16px;border-radius:999px;font-weight:600">Ask us about paper</span>
</div>`

export const checkoutSnippet = `<div class="checkout-box" style="border:1px solid rgb(28, 90, 84);border-radius:6px;padding:20px;max-width:520px">
  <p style="margin:0 0 12px;font-weight:600">Your basket</p>
  <p style="margin:0 0 6px">Notebook “Harbour”, ruled <b style="float:right">24.00</b></p>
  <p style="margin:0 0 6px">Postage, letter <b style="float:right">3.20</b></p>
  <p style="margin:12px 0 0;padding-top:12px;border-top:1px solid #1c5a5440">Total <b style="float:right">27.20</b></p>
</div>`
