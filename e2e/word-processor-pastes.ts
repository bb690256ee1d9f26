/** What word processors and web pages put on the clipboard, in shapes made for this test. */
export const wordProcessorPastes: ReadonlyArray<{
  readonly from: string
  readonly html: string
  readonly text: string
}> = [
  {
    from: 'a word processor with its own styles',
    html: `<html xmlns:o="urn:schemas-microsoft-com:office:office" xmlns:w="urn:schemas-microsoft-com:office:word"><head><meta name=Generator content="Word 15"><!--[if gte mso 9]><xml><o:OfficeDocumentSettings/></xml><![endif]--><style>p.MsoNormal{margin:0;font-family:Calibri}</style></head><body lang=EN-GB><!--StartFragment--><p class=MsoNormal><span style='font-size:11.0pt;mso-fareast-language:EN-US'>Plain and <b>bold</b><o:p></o:p></span></p><!--EndFragment--></body></html>`,
    text: 'Plain and bold',
  },
  {
    from: 'a list of a word processor',
    html: `<p class=MsoListParagraph style='text-indent:-18.0pt;mso-list:l0 level1 lfo1'><![if !supportLists]><span style='font-family:Symbol'><span style='mso-list:Ignore'>·<span style='font:7.0pt "Times New Roman"'>&nbsp;&nbsp;&nbsp; </span></span></span><![endif]>First</p><p class=MsoListParagraph style='mso-list:l0 level1 lfo1'><span style='mso-list:Ignore'>·&nbsp;</span>Second</p>`,
    text: 'FirstSecond',
  },
  {
    from: 'an editor in the browser that wraps all in a weightless b',
    html: `<meta charset='utf-8'><b style="font-weight:normal;" id="docs-internal-guid-1"><p dir="ltr"><span style="font-size:11pt;font-weight:700;white-space:pre-wrap;">Strong</span><span style="font-weight:400;font-style:italic"> slanted</span></p></b>`,
    text: 'Strong slanted',
  },
  {
    from: 'a table of a spreadsheet',
    html: `<google-sheets-html-origin><style>td{border:1px solid #ccc}</style><table><colgroup><col width=100></colgroup><tbody><tr><td data-sheets-value='{"1":2}'>One</td><td>Two</td></tr></tbody></table>`,
    text: 'One Two',
  },
  {
    from: 'a mail with a tracking picture',
    html: `<div class="WordSection1"><p>Dear all,</p><img src="https://track.example.org/a.gif" width=1><p>see <a href="https://example.org/a" onclick="alert(1)" style="color:red">here</a></p></div>`,
    text: 'Dear all,see here',
  },
  {
    from: 'a page that means harm',
    html: `<p>Kind<script>alert(1)</script><img src=x onerror=alert(1)><svg onload=alert(1)><style>@import "https://example.org/a.css"</style></svg><a href="java&#x09;script:alert(1)"> words</a><iframe srcdoc="<script>parent.alert(1)</script>"></iframe><math><mtext></form><form><mglyph><style></math><img src onerror=alert(1)></p>`,
    text: 'Kind words',
  },
]
