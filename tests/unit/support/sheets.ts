/** The merged sheet of every construction with its usual answers, as the craft builds it, a few steps to a line. */
export const SHEETS: Record<string, string[]> = {
  'snap-tab': [
    ...['hoop stabiliser', 'hoop-on', 'S Placement line', 'lay front above up', 'S Tack-down'],
    ...['S Detail', 'hoop-off', 'turn-over', 'snip', 'lay back below down', 'turn-over'],
    ...['hoop-on', 'check-under', 'S Outline', 'S Hole marks', 'hoop-off', 'inspect', 'snip'],
    ...['unhoop', 'untape', 'tear-away', 'cut-out', 'punch', 'hardware']
  ],
  patch: [
    ...['hoop stabiliser ground', 'hoop-on', 'S Colour', 'S Border', 'hoop-off', 'inspect'],
    ...['snip', 'unhoop', 'tear-away', 'cut-roughly', 'cut-out']
  ],
  'border-patch': [
    ...['hoop stabiliser ground', 'hoop-on', 'S Colour 1', 'S Colour 2', 'S Cut line'],
    ...['hoop-off', 'snip', 'unhoop', 'cut-out', 'hoop base', 'hoop-on', 'S Patch: placement'],
    ...['glue ground', 'lay ground above up', 'speed', 'S Border', 'hoop-off', 'inspect'],
    ...['snip', 'unhoop', 'cut-roughly', 'rinse', 'wait']
  ],
  'batch-patch': [
    ...['spray sheet', 'hoop cutaway sheet', 'hoop-on', 'S Cut lines', 'hoop-off', 'unhoop', 'other'],
    ...['hoop film', 'hoop-on', 'load-file', 'S Placement line 1', 'frame-forward'],
    ...['lay blank-0 above up', 'frame-back', 'S Colour of patch 1', 'S Border of patch 1'],
    ...['S Placement line 2', 'frame-forward', 'lay blank-1 above up', 'frame-back'],
    ...['S Colour of patch 2', 'S Border of patch 2', 'hoop-off', 'inspect', 'snip', 'unhoop'],
    ...['topping-off film']
  ],
  'pile-patch': [
    ...['hoop stabiliser ground', 'hoop-on', 'S Pile: placement', 'lay pile above up'],
    ...['S Pile: zigzag tack-down', 'hoop-off', 'trim pile', 'topping-on topping'],
    ...['pin topping', 'hoop-on', 'S Lettering', 'S Satin edge', 'hoop-off', 'inspect', 'snip'],
    ...['unhoop', 'unpin', 'topping-off topping', 'other', 'tear-away', 'cut-out']
  ],
  'zip-pouch': [
    ...['press-folds lining-lower', 'hoop stabiliser', 'hoop-on', 'S Batting placement'],
    ...['lay batting above up', 'S Batting tack-down', 'hoop-off', 'trim batting'],
    ...['cut-away-behind batting', 'hoop-on', 'S Zip placement', 'lay zip above up'],
    ...['S Zip tack-down', 'hoop-off', 'turn-over', 'untape', 'cut-away-behind stabiliser'],
    ...['turn-over', 'hoop-on', 'lay upper above down', 'S Upper zip seam', 'untape'],
    ...['flip upper', 'S Upper topstitch', 'lay lower above down', 'S Lower zip seam', 'untape'],
    ...['flip lower', 'S Lower topstitch', 'S Accent line', 'trim lower'],
    ...['lay accent above down', 'S Accent seam', 'untape', 'flip accent', 'tape accent'],
    ...['S Outline tack', 'S Quilting', 'hoop-off', 'turn-over', 'lay lining-lower below down'],
    ...['turn-over', 'hoop-on', 'check-under', 'S Lower lining topstitch', 'hoop-off'],
    ...['turn-over', 'lay lining-upper below down', 'turn-over', 'hoop-on', 'check-under'],
    ...['S Upper lining topstitch', 'zip zip', 'lay back above down'],
    ...['lay back-batting above up', 'S Back tack-down', 'hoop-off', 'turn-over'],
    ...['lay back-lining below up', 'turn-over', 'hoop-on', 'check-under', 'S Closing seam'],
    ...['hoop-off', 'inspect', 'unhoop', 'cut-out', 'untape', 'turn-through', 'close-opening'],
    ...['turn-through zip', 'press']
  ],
  'turned-flat': [
    ...['spray batting', 'hoop stabiliser batting front', 'hoop-on', 'S Outline', 'S Quilting'],
    ...['S Closure marks', 'hoop-off', 'lay back above down', 'hoop-on', 'S Closing seam'],
    ...['hoop-off', 'inspect', 'unhoop', 'untape', 'tear-away', 'cut-out', 'clip'],
    ...['turn-through', 'close-opening', 'press', 'punch', 'hardware']
  ],
  'layered-mat': [
    ...['hoop base', 'hoop-on', 'S Placement line', 'lay batting above up', 'lay top above up'],
    ...['S Tack-down', 'S Details', 'S Appliqué placement', 'lay first above up'],
    ...['S First appliqué: tack-down', 'trim first', 'lay second above up'],
    ...['S Second appliqué: tack-down', 'trim second', 'S Appliqué edges', 'S Lettering'],
    ...['S Outline again', 'hoop-off', 'trim batting top', 'turn-over', 'snip'],
    ...['lay back below down', 'turn-over', 'hoop-on', 'check-under', 'S Back tack-down'],
    ...['hoop-off', 'turn-over', 'trim back', 'bobbin', 'turn-over', 'hoop-on', 'S Satin edge'],
    ...['hoop-off', 'inspect', 'snip', 'unhoop', 'cut-roughly', 'rinse', 'press']
  ],
  topper: [
    ...['back-cloth front', 'back-cloth back', 'hoop base', 'hoop-on', 'S Batting placement'],
    ...['lay batting above up', 'S Batting tack-down', 'lay front above up', 'S Tack-down'],
    ...['S Details', 'hoop-off', 'untape', 'trim batting front', 'trim batting front'],
    ...['turn-over', 'snip', 'lay back below down', 'turn-over', 'hoop-on', 'check-under'],
    ...['S Back tack-down', 'hoop-off', 'turn-over', 'untape', 'trim back', 'trim back'],
    ...['bobbin', 'turn-over', 'hoop-on', 'S Satin edge', 'S Towel placement', 'hoop-off'],
    ...['turn-over', 'lay towel below down', 'turn-over', 'hoop-on', 'check-under'],
    ...['S Towel seam', 'hoop-off', 'inspect', 'snip', 'unhoop', 'untape', 'tear-away']
  ],
  lace: [
    ...['hoop base', 'bobbin', 'hoop-on', 'S Underlay', 'S Lace', 'hoop-off', 'inspect', 'snip'],
    ...['unhoop', 'cut-roughly', 'rinse', 'wait', 'join-parts']
  ],
  'mesh-lace': [
    ...['needle', 'hoop base-1 mesh-1', 'bobbin', 'hoop-on', 'S Lace 1', 'hoop-off', 'inspect'],
    ...['snip', 'unhoop', 'hoop base-2 mesh-2', 'bobbin', 'hoop-on', 'S Lace 2, mirrored', 'hoop-off'],
    ...['inspect', 'snip', 'unhoop', 'other', 'other', 'other', 'other', 'other', 'rinse', 'wait']
  ],
  'fused-applique': [
    ...['back-cloth first', 'back-cloth second', 'hoop stabiliser ground', 'hoop-on'],
    ...['S First piece: placement', 'hoop-off', 'lay first above up', 'hoop-on'],
    ...['S First piece: edge', 'S Second piece: placement', 'hoop-off', 'lay second above up'],
    ...['hoop-on', 'S Second piece: edge', 'hoop-off', 'inspect', 'snip', 'unhoop', 'tear-away'],
    ...['press']
  ],
  'joined-applique': [
    ...['back-cloth left right', 'hoop stabiliser ground', 'hoop-on', 'S Left placement'],
    ...['lay left above up', 'S Left tack-down', 'S Left zigzag', 'hoop-off', 'untape'],
    ...['trim left', 'hoop-on', 'S Join line', 'lay right above down', 'S Join seam'],
    ...['hoop-off', 'flip right', 'fuse right', 'hoop-on', 'S Topstitch', 'S Right zigzag'],
    ...['hoop-off', 'trim right', 'fuse left', 'fuse right', 'hoop-on', 'S Right satin edge'],
    ...['S Left satin edge', 'hoop-off', 'inspect', 'snip', 'unhoop', 'tear-away']
  ],
  'raised-piece': [
    ...['hoop stabiliser ground', 'hoop-on', 'S Centre mark', 'hoop-off', 'align-holes petals'],
    ...['pin ground', 'lay petals above up', 'other', 'unpin', 'hoop-on', 'speed'],
    ...['S Tack-down', 'S Zigzag', 'lay middle above up', 'topping-on topping'],
    ...['S Centre tack-down', 'hoop-off', 'trim middle', 'hoop-on', 'S Texture', 'S Ring'],
    ...['speed', 'hoop-off', 'inspect', 'snip', 'unhoop', 'untape', 'topping-off topping'],
    ...['other']
  ],
  cutwork: [
    ...['hoop base ground', 'bobbin', 'hoop-on', 'S Cut outline', 'hoop-off'],
    ...['cut-away-behind ground', 'hoop-on', 'S Bars', 'S Window satin', 'hoop-off', 'inspect'],
    ...['snip', 'unhoop', 'rinse', 'wait', 'press']
  ],
  'cutwork-corner': [
    ...['hoop base-1', 'bobbin', 'hoop-on', 'S Placement line 1', 'lay cloth above up'],
    ...['S Tack-down 1', 'hoop-off', 'trim cloth', 'hoop-on', 'S Lace 1', 'hoop-off', 'inspect'],
    ...['snip', 'unhoop', 'untape', 'hoop base-2', 'bobbin', 'hoop-on', 'S Placement line 2'],
    ...['lay cloth above up', 'S Tack-down 2', 'hoop-off', 'trim cloth', 'hoop-on', 'S Lace 2'],
    ...['hoop-off', 'inspect', 'snip', 'unhoop', 'untape', 'rinse', 'wait', 'press']
  ],
  'several-designs': [
    ...['hoop base', 'lay cloth-0 above up', 'lay cloth-1 above up', 'hoop-on'],
    ...['S Design 1, colour 1', 'S Design 1, colour 2', 'S Design 2, colour 1'],
    ...['S Design 2, colour 2', 'hoop-off', 'inspect', 'snip', 'unhoop', 'rinse', 'wait'],
    ...['press']
  ],
  'split-design': [
    ...['back-cloth upper', 'back-cloth lower', 'hoop stabiliser ground', 'other', 'hoop-on'],
    ...['trace', 'S Upper piece: placement', 'lay upper above up', 'S Upper piece: tack-down'],
    ...['trim upper', 'S Upper details', 'S Upper satin', 'mount', 'load-file'],
    ...['S Lower piece: placement', 'lay lower above up', 'S Lower piece: tack-down'],
    ...['trim lower', 'S Lower details', 'S Lower satin', 'hoop-off', 'inspect', 'snip'],
    ...['unhoop', 'other', 'other', 'sew-up', 'sew-up', 'sew-up', 'fuse upper', 'fuse lower'],
    ...['sew-up', 'sew-up']
  ],
  'named-item': [
    ...['hoop hooping-stabiliser', 'lay batting-piece above up', 'hoop-on', 'S Placement line'],
    ...['lay front-strip-1 above up', 'lay front-strip-2 above down', 'S Upper front seam'],
    ...['untape', 'flip front-strip-2', 'S Quilting', 'insert-run front-strip-2'],
    ...['S Closure marks', 'hoop-off', 'lay back-back above down', 'hoop-on', 'S Closing seam'],
    ...['hoop-off', 'inspect', 'unhoop', 'untape', 'cut-out', 'clip', 'turn-through'],
    ...['close-opening', 'press', 'punch', 'hardware']
  ],
  'plain-embroidery': [
    ...['mark-middle thing-thing', 'hoop thing-stabiliser', 'lay thing-thing above up', 'other', 'hoop-on'],
    ...['trace', 'S Basting box', 'hoop-off', 'unpin', 'topping-on thing-film', 'pin thing-film'],
    ...['hoop-on', 'S Colour 1', 'S Colour 2', 'hoop-off', 'inspect', 'snip', 'unhoop'],
    ...['unpin', 'topping-off thing-film', 'other', 'other', 'other']
  ],
  'quilted-coaster': [
    ...['hoop hooping-stabiliser', 'lay batting-piece above up', 'hoop-on', 'S Placement line'],
    ...['lay front-cloth above up', 'S Tack-down', 'S Quilting', 'hoop-off'],
    ...['lay back-back above down', 'hoop-on', 'S Closing seam', 'hoop-off', 'inspect'],
    ...['unhoop', 'untape', 'tear-away', 'cut-out', 'clip', 'turn-through'],
    ...['close-opening', 'press', 'other']
  ],
  'pot-holder': [
    ...['hoop hooping-stabiliser', 'lay batting-piece above up', 'hoop-on', 'S Placement line'],
    ...['lay front-cloth above up', 'S Tack-down', 'S Quilting', 'hoop-off'],
    ...['lay loop-piece above up', 'lay back-back above down', 'lay back-batting above up'],
    ...['hoop-on', 'S Closing seam', 'hoop-off', 'inspect', 'unhoop', 'untape', 'tear-away'],
    ...['cut-out', 'clip', 'turn-through', 'close-opening', 'press', 'other']
  ],
  'envelope-cover': [
    ...['hoop hooping-stabiliser hooping-cloth', 'hoop-on', 'S Colour', 'hoop-off', 'snip'],
    ...['lay back-back-upper above down', 'lay back-back-lower above down', 'hoop-on'],
    ...['S Closing seam', 'hoop-off', 'inspect', 'unhoop', 'untape', 'cut-out', 'clip'],
    ...['turn-through back-back-upper', 'press']
  ],
  'needle-book': [
    ...['hoop hooping-stabiliser', 'hoop-on', 'S Placement line', 'lay front-cloth above up'],
    ...['S Tack-down', 'S Colour', 'hoop-off', 'turn-over', 'snip', 'lay back-back below down'],
    ...['turn-over', 'hoop-on', 'check-under', 'S Outline', 'hoop-off', 'turn-over'],
    ...['lay pages-page-1 below down', 'lay pages-page-2 below down', 'turn-over', 'hoop-on'],
    ...['check-under', 'S Spine seam', 'hoop-off', 'untape', 'inspect', 'snip', 'unhoop'],
    ...['tear-away', 'cut-out']
  ],
  'snap-strap': [
    ...['hoop hooping-stabiliser', 'hoop-on', 'S Placement line', 'lay front-cloth above up'],
    ...['S Tack-down', 'S Colour', 'S Hole marks', 'hoop-off', 'turn-over', 'snip'],
    ...['lay back-back below down', 'turn-over', 'hoop-on', 'check-under', 'S Outline'],
    ...['hoop-off', 'inspect', 'snip', 'unhoop', 'untape', 'tear-away', 'cut-out', 'punch'],
    ...['hardware']
  ],
  bookmark: [
    ...['hoop hooping-stabiliser', 'hoop-on', 'S Placement line', 'lay front-cloth above up'],
    ...['S Tack-down', 'S Colour', 'hoop-off', 'turn-over', 'lay ribbon-piece below up', 'snip'],
    ...['lay back-back below down', 'turn-over', 'hoop-on', 'check-under', 'S Outline'],
    ...['hoop-off', 'inspect', 'snip', 'unhoop', 'untape', 'tear-away', 'cut-out']
  ],
  'elastic-pocket': [
    ...['hoop hooping-stabiliser hooping-cloth', 'hoop-on', 'S Colour', 'other', 'hoop-off'],
    ...['snip', 'lay pocket-piece above up', 'lay back-back above down', 'hoop-on', 'S Closing seam'],
    ...['hoop-off', 'inspect', 'unhoop', 'untape', 'cut-out', 'clip', 'turn-through'],
    ...['close-opening', 'press', 'other']
  ],
  own: [
    ...['hoop hooping-stabiliser', 'hoop-on', 'S Placement line', 'lay front-cloth above up'],
    ...['S Tack-down', 'hoop-off', 'inspect', 'snip', 'unhoop', 'tear-away', 'press']
  ]
};
