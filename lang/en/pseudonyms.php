<?php

// Names that are suggested for golfers: nobody's, short, told apart when spoken.
return [
    'Alder', 'Amber', 'Ash', 'Aspen', 'Basalt', 'Bay', 'Beech', 'Birch', 'Bracken', 'Breeze', 'Briar', 'Brook',
    'Cedar', 'Chalk', 'Clay', 'Cloud', 'Clover', 'Cobalt', 'Copper', 'Coral', 'Cypress', 'Delta', 'Dew', 'Drift',
    'Dune', 'Dusk', 'Ebony', 'Elder', 'Elm', 'Ember', 'Fen', 'Fern', 'Fjord', 'Flint', 'Frost', 'Gale', 'Garnet',
    'Glade', 'Gorse', 'Granite', 'Grove', 'Hail', 'Hazel', 'Heath', 'Heather', 'Hemlock', 'Holm', 'Indigo', 'Ivory',
    'Jade', 'Jasper', 'Juniper', 'Kelp', 'Lagoon', 'Larch', 'Lichen', 'Lilac', 'Linden', 'Loam', 'Maple', 'Marble',
    'Marsh', 'Meadow', 'Mica', 'Mint', 'Mist', 'Moor', 'Moss', 'Myrtle', 'Nettle', 'Oak', 'Ochre', 'Onyx', 'Opal',
    'Osier', 'Pearl', 'Pebble', 'Pine', 'Plum', 'Poplar', 'Quartz', 'Quill', 'Rain', 'Reed', 'Ridge', 'Rill', 'Rowan',
    'Rush', 'Rye', 'Saffron', 'Sage', 'Sand', 'Sedge', 'Shale', 'Shoal', 'Slate', 'Sleet', 'Sorrel', 'Spruce', 'Squall',
    'Sumac', 'Tarn', 'Teak', 'Thistle', 'Thyme', 'Tide', 'Topaz', 'Tundra', 'Umber', 'Vale', 'Willow', 'Yarrow', 'Yew',
    'Zinc',
];
