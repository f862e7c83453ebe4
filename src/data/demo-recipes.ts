/** The made-up household's recipes, as it would paste them. */
export const DEMO_RECIPES: readonly string[] = [
  `Semolina halwa
Serves 6

Ingredients
1 cup fine semolina
½ cup ghee
1 cup sugar
2½ cups hot water
2 tbsp cashews, broken
2 tbsp golden raisins
½ tsp ground cardamom
a pinch of salt

Method
1. Warm the ghee in a heavy pan over a low flame. Fry the cashews until they take colour, then the golden raisins until they swell, and lift both out.
2. Tip in the fine semolina and roast it for 12 minutes, stirring all the while, until it smells of nuts and turns the colour of sand.
3. Take the pan off the flame and pour in the hot water in a thin stream, at arm's length: it spits. Put it back and stir until the water is gone, 4 minutes.
4. Stir in the sugar and the salt. It loosens as the sugar melts and tightens again; cook for 4 minutes more, until it leaves the sides.
5. Fold in the ground cardamom, the cashews and the raisins, cover, and let it stand for 5 minutes before serving.`,
  `Saffron phirni of ground rice
Serves 6

Ingredients
1 litre full-cream milk
¼ cup ground rice
½ cup sugar
12 saffron strands
½ tsp ground cardamom
2 tbsp slivered almonds
1 tbsp slivered pistachios
1 tsp rose water

Method
1. Rub the saffron strands into two spoonfuls of warm milk and leave them to colour it.
2. Stir the ground rice into half a cup of the cold milk until no lump is left.
3. Bring the rest of the milk to a simmer, pour in the rice in a thin stream, and stir until it thickens. Simmer for 20 minutes, stirring, until a line drawn on the spoon stays open.
4. Add the sugar and the saffron and simmer for 5 minutes more.
5. Off the heat, stir in the ground cardamom and the rose water. Pour into small bowls, scatter the slivered almonds and pistachios, and chill for 3 hours.`,
];
