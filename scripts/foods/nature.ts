import type { Family, FoodNature } from "../../src/core/food";

type Rules<T> = readonly (readonly [RegExp, T])[];
const first = <T>(rules: Rules<T>, id: string): T | undefined => rules.find(([pattern]) => pattern.test(id))?.[1];

/** Accepted botanical names by id, the first that fits; what is made of several plants, or of none, has no row here. */
const BOTANICAL: Rules<string> = [
  [/white-chocolate|milk-chocolate|filo-pastry|digestive|monk-fruit|dry-yeast|maltodextrin|^jam$/, ""], [/shea-fat/, "Vitellaria paradoxa"], [/palm-kernel/, "Elaeis guineensis"], [/rapeseed/, "Brassica napus"], [/bread/, "Triticum aestivum"], [/corn-flakes/, "Zea mays"], [/aquafaba/, "Cicer arietinum"], [/candied-ginger/, "Zingiber officinale"],
  [/demerara|golden-syrup/, "Saccharum officinarum"], [/bay-leaf/, "Laurus nobilis"], [/star-anise/, "Illicium verum"], [/allspice/, "Pimenta dioica"], [/passion-fruit/, "Passiflora edulis"], [/kiwi/, "Actinidia deliciosa"],
  [/^lime-(juice|zest)/, "Citrus × aurantiifolia"], [/orange-zest/, "Citrus × sinensis"],
  [/chocolate|cocoa/, "Theobroma cacao"], [/custard-powder|baking-powder|vegetable-oil|vegan-block|vanaspati|candied-peel|blended|glucose-syrup|dextrose|fruit-sugar|xylitol|erythritol|allulose|pectin/, ""],
  [/custard-apple/, "Annona squamosa"], [/^apple/, "Malus domestica"], [/curry-leaves/, "Bergera koenigii"], [/star-fruit/, "Averrhoa carambola"],
  [/amaranth/, "Amaranthus hypochondriacus"], [/quinoa/, "Chenopodium quinoa"], [/buckwheat/, "Fagopyrum esculentum"],
  [/pearl-millet|^puffed-millet/, "Cenchrus americanus"], [/^millet-flakes/, "Panicum miliaceum"], [/barley/, "Hordeum vulgare"], [/sorghum/, "Sorghum bicolor"], [/maize|cornflour|corn-oil|corn-baby/, "Zea mays"],
  [/ragi/, "Eleusine coracana"], [/ricebean/, "Vigna umbellata"], [/rice/, "Oryza sativa"], [/little-millet/, "Panicum sumatrense"], [/kodo-millet/, "Paspalum scrobiculatum"],
  [/foxtail/, "Setaria italica"], [/barnyard/, "Echinochloa frumentacea"], [/proso/, "Panicum miliaceum"], [/browntop/, "Urochloa ramosa"], [/teff/, "Eragrostis tef"],
  [/oat/, "Avena sativa"], [/wheat|bulgur|semolina|vermicelli/, "Triticum aestivum"],
  [/besan|bengal-gram|roasted-gram|chana-dal/, "Cicer arietinum"], [/black-gram/, "Vigna mungo"], [/cowpea/, "Vigna unguiculata"], [/field-bean/, "Lablab purpureus"],
  [/moong|green-gram/, "Vigna radiata"], [/horse-gram/, "Macrotyloma uniflorum"], [/lentil/, "Lens culinaris"], [/moth-bean/, "Vigna aconitifolia"], [/peas?-(dry|fresh|drink|protein)|pea-drink/, "Pisum sativum"],
  [/rajmah|french-beans/, "Phaseolus vulgaris"], [/red-gram/, "Cajanus cajan"], [/soya?-|tofu/, "Glycine max"], [/peanut|groundnut/, "Arachis hypogaea"],
  [/ash-gourd/, "Benincasa hispida"], [/bamboo/, "Bambusa bambos"], [/bean-scarlet/, "Phaseolus coccineus"], [/bitter-gourd/, "Momordica charantia"], [/bottle-gourd/, "Lagenaria siceraria"],
  [/brinjal/, "Solanum melongena"], [/broad-beans/, "Vicia faba"], [/capsicum|chillies/, "Capsicum annuum"], [/cauliflower|knol/, "Brassica oleracea"], [/celery/, "Apium graveolens"],
  [/cho-cho/, "Sechium edule"], [/cluster-beans|guar/, "Cyamopsis tetragonoloba"], [/colocasia/, "Colocasia esculenta"], [/cucumber/, "Cucumis sativus"], [/drumstick/, "Moringa oleifera"],
  [/jack-fruit/, "Artocarpus heterophyllus"], [/kovai/, "Coccinia grandis"], [/ladies-finger/, "Abelmoschus esculentus"], [/mango-ginger/, "Curcuma amada"], [/mango-?steen|mangosteen/, "Garcinia mangostana"],
  [/mango/, "Mangifera indica"], [/onion/, "Allium cepa"], [/papaya/, "Carica papaya"], [/parwar/, "Trichosanthes dioica"], [/plantain|banana/, "Musa × paradisiaca"],
  [/pumpkin-seeds/, "Cucurbita pepo"], [/pumpkin/, "Cucurbita moschata"], [/ridge-gourd/, "Luffa acutangula"], [/snake-gourd/, "Trichosanthes cucumerina"], [/tinda/, "Praecitrullus fistulosus"],
  [/tomato/, "Solanum lycopersicum"], [/zucchini/, "Cucurbita pepo"],
  [/apricot/, "Prunus armeniaca"], [/avocado/, "Persea americana"], [/bael/, "Aegle marmelos"], [/black-berry/, "Rubus fruticosus"], [/cherries/, "Prunus avium"],
  [/currants-black/, "Ribes nigrum"], [/date/, "Phoenix dactylifera"], [/fig/, "Ficus carica"], [/goosberry/, "Phyllanthus emblica"],
  [/grapes|raisins|zante|cream-of-tartar/, "Vitis vinifera"], [/guava/, "Psidium guajava"], [/jambu/, "Syzygium cumini"], [/karonda/, "Carissa carandas"],
  [/lemon/, "Citrus × limon"], [/lime-sweet/, "Citrus limetta"], [/litchi/, "Litchi chinensis"], [/manila-tamarind/, "Pithecellobium dulce"], [/musk-melon|^melon-seed/, "Cucumis melo"],
  [/orange-blossom/, "Citrus × aurantium"], [/orange-(pulp|juice)/, "Citrus × sinensis"], [/palm-fruit|palm-jaggery/, "Borassus flabellifer"], [/palm-oil/, "Elaeis guineensis"], [/peach/, "Prunus persica"],
  [/pear$/, "Pyrus communis"], [/phalsa/, "Grewia asiatica"], [/pineapple/, "Ananas comosus"], [/plum|prunes/, "Prunus domestica"], [/pomegranate/, "Punica granatum"], [/pummelo/, "Citrus maxima"],
  [/rambutan/, "Nephelium lappaceum"], [/sapota/, "Manilkara zapota"], [/soursop/, "Annona muricata"], [/strawberry/, "Fragaria × ananassa"], [/tamarind/, "Tamarindus indica"],
  [/water-melon/, "Citrullus lanatus"], [/wood-apple/, "Limonia acidissima"], [/zizyphus/, "Ziziphus mauritiana"], [/cranberr/, "Vaccinium macrocarpon"], [/raspberry/, "Rubus idaeus"], [/blueberry/, "Vaccinium corymbosum"],
  [/beetroot/, "Beta vulgaris"], [/carrot/, "Daucus carota"], [/lotus/, "Nelumbo nucifera"], [/sweet-potato/, "Ipomoea batatas"], [/potato/, "Solanum tuberosum"], [/radish/, "Raphanus sativus"],
  [/cassava|tapioca|^sago/, "Manihot esculenta"], [/water-chestnut/, "Trapa natans"], [/yam-elephant/, "Amorphophallus paeoniifolius"], [/yam/, "Dioscorea alata"], [/tiger-nut/, "Cyperus esculentus"],
  [/coriander/, "Coriandrum sativum"], [/garlic/, "Allium sativum"], [/ginger/, "Zingiber officinale"], [/mint/, "Mentha spicata"], [/asafoetida/, "Ferula assa-foetida"], [/black-cardamom/, "Amomum subulatum"],
  [/cardamom/, "Elettaria cardamomum"], [/cloves/, "Syzygium aromaticum"], [/cumin/, "Cuminum cyminum"], [/fenugreek/, "Trigonella foenum-graecum"], [/mace|nutmeg/, "Myristica fragrans"], [/omum/, "Trachyspermum ammi"],
  [/pippali/, "Piper longum"], [/black-pepper/, "Piper nigrum"], [/poppy/, "Papaver somniferum"], [/turmeric/, "Curcuma longa"], [/mustard/, "Brassica juncea"], [/saffron/, "Crocus sativus"],
  [/cinnamon/, "Cinnamomum verum"], [/screwpine-leaf/, "Pandanus amaryllifolius"], [/screwpine-(water|essence)/, "Pandanus odorifer"], [/basil-seeds|basil-leaf/, "Ocimum basilicum"], [/fennel/, "Foeniculum vulgare"],
  [/anise/, "Pimpinella anisum"], [/rose/, "Rosa × damascena"], [/carob/, "Ceratonia siliqua"], [/vanilla/, "Vanilla planifolia"],
  [/almond/, "Prunus dulcis"], [/cashew/, "Anacardium occidentale"], [/coconut/, "Cocos nucifera"], [/pistachio/, "Pistacia vera"], [/walnut/, "Juglans regia"], [/hazelnut/, "Corylus avellana"], [/pecan/, "Carya illinoinensis"],
  [/macadamia/, "Macadamia integrifolia"], [/brazil-nut/, "Bertholletia excelsa"], [/chestnut-flour/, "Castanea sativa"],
  [/garden-cress/, "Lepidium sativum"], [/sesame|tahini/, "Sesamum indicum"], [/flax/, "Linum usitatissimum"], [/niger/, "Guizotia abyssinica"], [/pine-nut/, "Pinus gerardiana"], [/safflower/, "Carthamus tinctorius"],
  [/sunflower/, "Helianthus annuus"], [/fox-nut/, "Euryale ferox"], [/chia/, "Salvia hispanica"], [/hemp/, "Cannabis sativa"], [/chironji/, "Buchanania cochinchinensis"],
  [/jaggery|sugarcane|^sugar$|rock-sugar|brown-sugar|icing-sugar|molasses/, "Saccharum officinarum"], [/maple/, "Acer saccharum"], [/agave/, "Agave tequilana"], [/stevia/, "Stevia rebaudiana"], [/yacon/, "Smallanthus sonchifolius"],
  [/cotton-seed/, "Gossypium hirsutum"], [/olive/, "Olea europaea"], [/inulin/, "Cichorium intybus"], [/agar/, "Gelidium spp."], [/psyllium/, "Plantago ovata"], [/edible-gum/, "Senegalia senegal"], [/arrowroot/, "Maranta arundinacea"],
];

const FORM: Rules<FoodNature["form"]> = [
  [/-oil/, "oil"], [/^(salted-)?butter$|ghee|vanaspati|vegan-block|cocoa-butter|shea-fat/, "solid fat"], [/protein|gluten|maltodextrin/, "powder"], [/boiled|omlet/, "whole"],
  [/vermicelli/, "strands"], [/semolina|bulgur/, "grits"], [/flour|besan|cornflour|arrowroot|starch|custard-powder|maize-meal|bran|germ|icing/, "flour"], [/flakes|rolled|desiccated|husk|psyllium/, "flakes"],
  [/puffed|popped|fox-nut$/, "puffed"], [/^sago/, "pearls"], [/paste|puree|-butter$|tahini|tamarind-pulp/, "paste"],
  [/powder|cocoa|guar|xanthan|pectin|inulin|^agar|gelatin|stevia|allulose|turmeric|cinnamon|dry-ginger|^cardamom$|soda|acid|tartar/, "powder"],
  [/syrup|honey|molasses|condensed/, "syrup"], [/milk|drink|cream|juice|water$|extract|essence/, "liquid"], [/yog|ricotta|tofu|paneer|khoa/, "set"], [/jaggery$|chocolate|rock-/, "block"],
  [/sugar$|dextrose|erythritol|xylitol|salt|edible-gum/, "crystals"], [/saffron|mace/, "strands"], [/lea(f|ves)|petals|mint/, "leaf"], [/dal$|split|roasted-gram/, "split"], [/grated|fresh-coconut|zest|peel/, "shreds"],
];
const PROCESSING: Rules<FoodNature["processing"]> = [
  [/cocoa-butter|shea-fat|-oil|protein|gluten/, "extracted"], [/maltodextrin/, "refined"], [/roasted|cocoa|chocolate|peanut-butter|tahini|peanut-flour|carob/, "roasted"], [/puffed|popped|fox-nut$/, "popped"], [/parboiled|boiled|omlet|bulgur|rolled/, "cooked"],
  [/yog|buttermilk|hung-/, "fermented"], [/evaporated|condensed|khoa|milk-powder|jaggery|maple|molasses|date-syrup|agave|yacon/, "evaporated"], [/candied|sweetened|cream-of-coconut|cranberr/, "sweetened"], [/malt/, "malted"],
  [/dried|dry|raisins|prunes|zante|desiccated|date-sugar|dates|edible-gum|psyllium/, "dried"],
  [/besan|(wheat|millet|ragi|rice|sorghum|oat|amaranth|buckwheat|banana|almond|coconut|chestnut|moong|fox-nut|soya)-flour|maize-meal|semolina|bran|germ/, "milled"],
  [/-milk|drink|juice|cream$|tofu|paneer|ricotta|butter|ghee|extract|essence|(rose|screwpine|blossom|coconut)-water/, "extracted"],
  [/sugar$|starch|cornflour|arrowroot|sago|dextrose|syrup|erythritol|xylitol|allulose|stevia|inulin|^agar|gelatin|-gum|pectin|vanaspati|vegan-block|acid|tartar|soda|silver|powder|salt/, "refined"],
  [/cardamom|asafoetida|cloves|seeds?$|mace|nutmeg|omum|pippali|pepper|turmeric|saffron|cinnamon|chillies-red/, "dried"],
];

/** How a food takes up a binder in a ladoo, by the classes of the binding model. */
const BINDING: Rules<NonNullable<FoodNature["binding"]>> = [
  [/-oil|ghee|^(salted-)?butter$|vanaspati|vegan-block|cocoa-butter/, "free fat"], [/buttermilk/, "liquid"],
  [/icing-sugar|jaggery-powder|date-sugar|coconut-sugar|brown-sugar|^sugar$|fruit-sugar|dextrose|erythritol|xylitol|allulose/, "powdered sugar"], [/almond-flour|peanut-flour|coconut-flour/, "ground seed"],
  [/semolina|desiccated|fresh-coconut|rolled|bran|edible-gum|flakes|poppy|bulgur|germ/, "semolina-like"], [/flour|besan|maize-meal|cocoa|milk-powder|carob/, "fine flour"], [/^peanut$/, "chopped nuts"], [/puffed|popped|fox-nut/, "puffed grain"],
  [/paste|syrup|honey|condensed|molasses|-butter|tahini|^dates$|dried-fig|raisins|prunes/, "sticky"],
];

const SOUR = /lemon-juice|citric|tartar|tamarind-pulp|goosberry|karonda|mango-green|yog|buttermilk|cranberr|tomato|phalsa|star-fruit/;
const MILD = /^apple|apricot|berr|cherr|currants|grape|guava|orange-(juice|pulp)|^mango(?!-ginger)|dried-mango|pineapple|plum|prunes|pomegranate|peach|pear$|pummelo|jambu|litchi|raisins|rambutan|soursop|wood-apple|zizyphus|candied-peel|ricotta|paneer|honey|molasses|zante|lime-sweet/;

const FORM_OF: Readonly<Partial<Record<Family, FoodNature["form"]>>> = { drink: "liquid", water: "liquid", dairy: "liquid", fat: "oil", egg: "liquid", essence: "liquid", gum: "powder", salt: "powder", sweetener: "crystals" };
const BINDING_OF: Readonly<Partial<Record<Family, FoodNature["binding"]>>> = { nut: "chopped nuts", oilseed: "whole seed", fat: "free fat", drink: "liquid", water: "liquid", essence: "liquid" };

/** What a shipped food is by nature: plant, form, processing, how it binds, how sour it is. */
export function natureOf(fullId: string, family: Family): FoodNature {
  const id = fullId.replace(/^ifct-/, "");
  const plant = family === "dairy" || family === "egg" || family === "salt" || family === "water" || id === "honey" || id === "gelatin" || id === "xanthan-gum" ? "" : first(BOTANICAL, id);
  return {
    botanical: plant === undefined || plant === "" ? null : plant,
    form: first(FORM, id) ?? FORM_OF[family] ?? "whole",
    processing: first(PROCESSING, id) ?? "raw",
    binding: first(BINDING, id) ?? BINDING_OF[family] ?? null,
    acidity: SOUR.test(id) ? "sour" : MILD.test(id) ? "mild" : "none",
  };
}
