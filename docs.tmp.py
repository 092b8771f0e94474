p='docs/model.md'
s=open(p).read()
i=s.index("A second, independent model: two strips of cloth"); j=s.index("Of the 85 classic words to nine moves all come out clean")
new='''A second, independent model: two strips of cloth laid loosely along the word's path on a growing ball and drawn up. Position-based, one
sweep and one pass of contacts a step, 400 steps and 120 a move; seven columns; rows 10 mm apart when loose (6 on the standing strand), which
come to lie some 2 mm apart; no friction.

- *The pull* (`pull.ts`) is one implicit step down the energy of a rope under tension and of a rod, ½ Σ |Δx|² / h + ½ b² Σ h |κ|², b = 5 mm, solved for
  all rows of a strand at once (five bands, LDLᵀ): neither how far a pull reaches nor how strong it is hangs on the grid. A bend of radius r goes
  in by 1 mm² / r in a step where its rows touch nothing and by 0.004 mm² / r where they are pressed (going over with the share of a row that is
  pressed): loose turns come in fast, and what lies in layers is not crushed.
- *Cloth is taken away*: each row's rest length follows, by at most 1 % a step, the length in which it lies, evened out over 32 mm of the
  loose winding within the arm, the knot and what hangs.
- *Contact*: points, and the middles of the borders between rows, keep off the triangles of other parts by half the thickness of each. Of the
  same strand, rows next to each other and cloth less than four layers away along it are neighbours and let each other be. No point moves in a
  step by more than 0.4 of the distance it had, before the step, to the cloth that it touches, so none can pass through. Which pairs may touch is
  looked up on a grid, told from the boxes of the faces, and a pair is looked at again only once both have come as far as they were apart.
- *Thickness* is c · thickness over the fold: cloth folded to half its width lies twice as thick, its section stays.
- *Snugged up* against neck, shirt and collar: the wearer comes near while the knot is still loose; then the knot is slid as one until its upper edge
  stands 6 mm above the button and its lower part pressed to within 7 mm of the shirt, as the holding hand does. From a third of the steps on
  two planes, the leaves of a semi-spread collar (75 / 110 / 8), press back what lies under them.
- *Imposed*, not predicted: the folds (share of the tie's width: arm 0.75, turn 0.6, throat 0.5, band 0.85, top 0.48, tuck 0.42 and from there to
  the full width over 110 mm, the standing end 0.5), the pull on pressed cloth, a faint press toward the shirt, where the knot stands, the collar,
  a panel's middle, the crease of the dimple (5 mm), neck and chest. No squeeze.
- *Predicted*: cloth taken up, widths, height and depth within those folds, the tilt, and which pass lies on which.
- *Checked*: that it holds no more than 100 mm and 1.6 times the cloth that the formulas give, the Alexander polynomial of the working strand and of the whole
  tie at two values, before and after, and every edge against every face elsewhere along the cloth. Where the end fails a gentler and a finer
  attempt are made and the one drawn up furthest while it was clean is taken (`drawnUp` in `public/cloth/index.json`); where none was it is
  refused and the drawing stands alone.

'''
s=s[:i]+new+s[j:]
open(p,'w').write(s)
