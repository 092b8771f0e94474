p='docs/model.md'
s=open(p).read()
s=s.replace("two planes, the leaves of a semi-spread collar (75 / 110 / 8)","two planes, the leaves of a semi-spread collar (75 / 110 / 8)")
s=s.replace("sweep and one pass of contacts a step, 400 steps and 120 a move;","sweep and one pass of contacts a step, 300 steps and 100 a move;")
i=s.index("Figures of the reference tie (1470 × 85"); j=s.index("*What it is used for.*")
table='''Figures of the reference tie (1470 × 85, 3.2 mm thick, narrow tip at 350 mm), one start each, mm and degrees; in brackets the formulas':

| word | cloth in it | top | bottom | height | depth | tilt° |
|---|---|---|---|---|---|---|
| oriental | 109 (123) | 44 (37) | 26 (24) | 42 (40) | 21 | +17 |
| four-in-hand | 158 (179) | 44 (41) | 33 (27) | 45 (43) | 23 | −15 |
| pratt | 249 (209) | 67 (47) | 37 (25) | 47 (44) | 27 | +7 |
| nicky | 242 (209) | 68 (46) | 36 (25) | 45 (44) | 28 | −1 |
| `Li Co Li Ro Li Co T` | 311 (283) | 58 (50) | 32 (28) | 48 (47) | 25 | −8 |
| `Li Co Ri Lo Ri Co T` | 259 (269) | 73 (51) | 28 (28) | 52 (47) | 31 | +17 |
| victoria | 258 (317) | 49 (51) | 40 (33) | 49 (49) | 31 | −16 |
| half-Windsor | 255 (269) | 69 (51) | 40 (28) | 49 (47) | 32 | +7 |
| half-Windsor, releasing sister | 284 (270) | 81 (52) | 47 (28) | 48 (47) | 31 | −2 |
| plattsburgh | 316 (316) | 84 (55) | 57 (25) | 51 (49) | 33 | +6 |
| St Andrew | 287 (337) | 72 (56) | 47 (31) | 47 (50) | 38 | −1 |
| Windsor, third path | 357 (379) | 79 (60) | 51 (29) | 54 (53) | 36 | +6 |
| Windsor, second path | 458 (379) | 91 (60) | 58 (29) | 54 (52) | 41 | −7 |
| Windsor, fourth path | 357 (379) | 85 (60) | 58 (29) | 53 (53) | 39 | +3 |
| Windsor | 366 (378) | 85 (60) | 57 (29) | 53 (52) | 40 | −8 |
| cavendish | 359 (413) | 76 (61) | 53 (34) | 60 (54) | 32 | +19 |

'''
s=s[:i]+table+s[j:]
open(p,'w').write(s)
