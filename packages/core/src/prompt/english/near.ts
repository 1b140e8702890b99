import type { Words } from './words';

/** Words that the painter does not know, by what comes nearest to them in meaning among those that it knows. */
const NEAR: readonly (readonly [offers: Words, words: string])[] = [
  [
    ['boat', 'sailing boat'],
    'bow mast rudder deck hull keel barge gondola kayak vessel steamer tug trawler galleon schooner submarine anchorage',
  ],
  [['boat', 'post'], 'rope line cable chain knot'],
  [
    ['cottage', 'village street'],
    'door doorway porch roof chimney gable balcony veranda doorstep threshold building home hall mansion palace villa barrack shop inn hotel school church chapel temple tower',
  ],
  [['window'], 'pane shutter curtain blind skylight porthole'],
  [['cottage', 'meadow'], 'farm barnyard stable ranch yard paddock'],
  [['sack', 'basket'], 'flour grain wheat rice corn oats barley'],
  [
    ['man', 'farmer'],
    'blacksmith smith mason tailor cobbler butcher miner woodcutter lumberjack shoemaker plumber mechanic driver engineer worker builder thatcher potter weaver clerk',
  ],
  [['sailor', 'fisherman'], 'pirate mariner skipper seaman crew helmsman admiral'],
  [
    ['traveller', 'man'],
    'astronaut explorer wanderer pilgrim tourist hiker nomad scout cyclist rider detective spy soldier thief hero',
  ],
  [['woman', 'old woman'], 'fairy mermaid sorceress goddess nun seamstress washerwoman'],
  [['child', 'girl', 'boy'], 'baby infant orphan elf dwarf gnome goblin cousin'],
  [['family', 'people'], 'parents grandparents siblings relatives guests crew tribe audience'],
  [['old man'], 'grandad monk priest bishop scholar professor sage prophet'],
  [['horse'], 'mule zebra unicorn stallion camel'],
  [['cow'], 'buffalo yak bison'],
  [['dog', 'fox'], 'jackal coyote badger'],
  [['cat'], 'lion tiger leopard panther lynx'],
  [['bear'], 'panda monster yeti troll gorilla monkey ape'],
  [['turtle', 'frog'], 'dragon lizard dinosaur crocodile snake salamander newt'],
  [['mouse'], 'hamster mole shrew'],
  [['heron', 'gull'], 'pelican penguin'],
  [['crow', 'owl'], 'eagle hawk falcon vulture parrot'],
  [['gull', 'hen'], 'turkey'],
  [['butterfly'], 'wasp beetle ladybird insect'],
  [['fish', 'whale'], 'shark octopus squid eel seahorse jellyfish'],
  [['crab', 'shell'], 'shrimp oyster mussel clam'],
  [['sea', 'wave'], 'flood flooded tide surf spray current splash whirlpool puddle'],
  [['pier', 'harbour'], 'wharf ferryport breakwater mole landing lock'],
  [['street', 'village street'], 'pavement kerb corner crossroads alleyway track trail route highway motorway'],
  [['forest', 'tree'], 'branch twig bark root leaf canopy undergrowth maple poplar'],
  [['mountain', 'rock'], 'cave cavern gorge canyon ravine volcano glacier ledge slope crag'],
  [['meadow', 'flower'], 'lily thistle clover heather dandelion vineyard'],
  [['bread', 'basket'], 'cheese butter sandwich soup stew meal food lunch dinner supper breakfast biscuit'],
  [['cup', 'teapot'], 'tea coffee milk juice wine beer cocoa'],
  [['table', 'chair'], 'furniture sofa couch settee cabinet drawer bedside'],
  [['stove', 'campfire'], 'flame ember smoke anvil forge kiln coal'],
  [['lantern', 'candle'], 'bulb headlight torchlight glow sparkler'],
  [['letter', 'book'], 'newspaper poster page notebook postcard parchment ticket'],
  [['fiddle'], 'trumpet harp piano cello banjo horn whistle music song'],
  [['rod'], 'sword axe hammer saw knife shovel pitchfork bow arrow crutch'],
  [['cart', 'bicycle'], 'car lorry truck bus tram taxi motorcycle scooter tractor pram vehicle robot machine'],
  [['train'], 'railway carriageway tram station platform rails'],
  [['balloon', 'kite'], 'aeroplane airplane plane rocket airship spaceship helicopter glider drone'],
  [['moon', 'night sky'], 'planet space galaxy universe constellation satellite'],
  [['storm'], 'hurricane tornado hail rainstorm cloudburst'],
  [['fog'], 'steam vapour dust gloom murk'],
  [['coat', 'jacket'], 'anorak cloakroom pyjamas armour fur leather'],
  [['hat', 'straw hat'], 'helmet bonnet headdress mask veil'],
  [['scarf'], 'glove mitten sock tie ribbon belt collar'],
  [['smile', 'laugh'], 'joy happiness pleased beaming overjoyed'],
  [['sad', 'worried'], 'grief sorrow mournful weeping tearful gloomy'],
  [['angry', 'stern'], 'rage mad fierce fury'],
  [['stand', 'lean on'], 'against lurk linger hesitate pause'],
  [['walk', 'run'], 'crawl creep sneak tiptoe limp stumble slide away escape flee follow'],
  [['hold', 'carry'], 'grab grasp grip seize touch embrace squeeze shake'],
  [['kneel'], 'bow pray sweep scrub wash weed'],
  [['in the village street', 'outside'], 'outdoors outdoor'],
];

const OFFERS = new Map<string, Words>();
for (const [offers, words] of NEAR)
  for (const word of words.split(' ')) if (!OFFERS.has(word)) OFFERS.set(word, offers);

/** What comes near to a word in meaning; nothing for a word that nobody has thought of. */
export const nearInMeaning = (word: string): Words => OFFERS.get(word) ?? [];

/** Every word with an offer, and its offers. */
export const everyOffer = (): readonly (readonly [word: string, ...offers: Words])[] =>
  [...OFFERS].map(([word, offers]) => [word, ...offers] as const);
