/** What a page is for, for somebody in a hurry: by the page's name, a line each. */
export const HELP: Readonly<Record<string, readonly string[]>> = {
  home: [
    "Today's lesson, or the next one: from your term's plan, where there is one.",
    "Beside it stands what the last check told.",
    "Press / to look for a child, a check or a lesson.",
  ],
  plan: [
    "Vantick proposes a step and says why. Another one of the ladder can be chosen.",
    "A lesson that was removed can be brought back for thirty days.",
  ],
  tomorrow: [
    "All for the next lesson: what it is about, who works on what, and one stack of paper in the order of handing out.",
    "The stack stays as it is until you put it together anew; then sheets that nobody has answered go.",
    "Whoever gives the lesson for you needs the cover and the lesson's page alone.",
  ],
  term: [
    "Drag a lesson to another day, or press it and use the buttons. What you settle stays; the rest is planned round it.",
    "One lesson in eight stays empty, for what nobody foresees.",
    "After each check the days to come are planned anew. What changed is said, and can be put back.",
  ],
  lesson: [
    "Press a stage to see its clocks. Swap one, pin it, or type another time.",
    "Move the edge between two stages for more or fewer minutes. Ctrl+Z takes back.",
    "Print puts the whole lesson on one page.",
  ],
  sheets: [
    "What is set on the left is drawn in the middle, as it will print.",
    "The code in the corner of a sheet finds it again under Check, and lets Vantick read the paper back.",
    "On both sides, each child's sheet and the answers begin on paper of their own.",
  ],
  checks: [
    "A check is a slip with a few clocks. Make it, print the slips, type in what they wrote.",
    "The code on a sheet opens it here.",
    "Remove takes a check away with its answers; it can be brought back for thirty days.",
  ],
  "new-check": [
    "It begins at the step where your class is. Other times chooses anew.",
    "Every pair of misreadings that these clocks tell apart counts.",
  ],
  check: [
    "Type as fast as you read: qt8 is quarter to eight, 2.45 is 2:45, a dash is nothing.",
    "Enter goes on to the next clock. ! puts your own verdict in the place of Vantick's.",
  ],
  paper: [
    "Scan the whole stack, in any order. Every sheet says by its code whose it is.",
    "What is sure is marked. The rest, and all words, you look at: one piece of paper after the other.",
    "Pictures go after thirty days, or when you remove the file. Answers stay.",
  ],
  look: [
    "The number of a dial takes it; or type what is written, then Enter. Escape goes back.",
    "A dash, or Empty, is for nothing written.",
  ],
  class: ["For each child what may lie behind the mistakes, and for the class what to do about it tomorrow."],
  children: ["A ring is filled by how far a child is on a step. Press a name for the record."],
  child: ["What may lie behind mistakes, with the very dials. Ask the one on the right to settle it."],
  groups: [
    "Drag a name to another group, or choose its number. It stays so until you go back to what is proposed.",
    "A sheet, a lesson or desks are for exactly those children.",
  ],
  register: [
    "Add, rename, or mark who left. The record stays until it is erased.",
    "A list from another program is shown first, then taken.",
  ],
  "new-desk": ["Children answer on devices: open it, then show the board with the class code."],
  "live-desk": ["Who needs you has a broad edge. N hides the names, B shows the board."],
  settings: ["How your class says, writes and counts. The example below shows it at once."],
  account: ["Passwords, colleagues, and a safe copy of everything for whoever made the school."],
  weeks: [
    "Who was secure at the end of each week, and which misreadings came and went.",
    "A line begins where the class met the step.",
  ],
  parents: [
    "What a child can read by now, for the parents: no counts, and no other child.",
    "Print puts it on a page.",
  ],
  slips: [
    "Print has a slip for each child, and the answers on paper of their own.",
    "One to spare is a slip without a name.",
  ],
  keys: [
    "Three pictures in their order let a child in at a desk.",
    "Print the cards and cut them. A child who lost theirs gets others; the old ones open nothing then.",
  ],
  "new-class": [
    "One name on each line, or a list from another program.",
    "Names can be added and changed at any time.",
  ],
};
