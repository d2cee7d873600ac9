<?php

declare(strict_types=1);

namespace Embrel\Plan;

/**
 * The signs that a topic may carry, of the icons of Lucide (ISC licence): each as a path of SVG in a square of 24, drawn as a
 * line of the width 2 with round ends, and the words by which it is found. Made by bin/signs.mjs.
 */
final class SignForms
{
    /** name → path, words */
    public const ALL = [
        'accessibility' => [
            'M15 4C15 4.55 15.45 5 16 5C16.55 5 17 4.55 17 4C17 3.45 16.55 3 16 3C15.45 3 15 3.45 15 4ZM18 19L19 12L13 13M5 8L8 5L13.5 8L11.14 11.5M4.24 14.5C3.66 16.39 4.25 18.43 5.74 19.73C7.22 21.03 9.33 21.33 11.12 20.5M13.76 17.5C14.34 15.61 13.75 13.57 12.26 12.27C10.78 10.97 8.67 10.67 6.88 11.5',
            'accessibility disability disabled dda wheelchair',
        ],
        'alarm-clock' => [
            'M4 13C4 17.42 7.58 21 12 21C16.42 21 20 17.42 20 13C20 8.58 16.42 5 12 5C7.58 5 4 8.58 4 13ZM12 9V13L14 15M5 3L2 6M22 6L19 3M6.38 18.7L4 21M17.64 18.67L20 21',
            'alarm clock morning',
        ],
        'anchor' => [
            'M12 6V22M19 13L21 12C21 16.97 16.97 21 12 21C7.03 21 3 16.97 3 12L5 13M9 11H15M10 4C10 5.1 10.9 6 12 6C13.1 6 14 5.1 14 4C14 2.9 13.1 2 12 2C10.9 2 10 2.9 10 4Z',
            'anchor ship',
        ],
        'apple' => [
            'M12 6.53V3C12 2.45 12.45 2 13 2H13M18.24 21C20.68 18.24 22.02 14.68 22 11C22 8.63 20.61 6.49 18.45 5.52C16.29 4.56 13.76 4.95 12 6.53C10.24 4.95 7.71 4.56 5.55 5.52C3.39 6.49 2 8.63 2 11C1.99 14.68 3.33 18.24 5.76 21C6.68 22.03 8.19 22.3 9.41 21.65C11.03 20.78 12.97 20.78 14.59 21.65C15.81 22.3 17.32 22.03 18.24 21',
            'apple fruit food healthy snack nutrition fresh produce grocery organic harvest vitamin red green juicy sweet tart bite orchard plant core raw diet',
        ],
        'arrow-left-right' => [
            'M8 3L4 7L8 11M4 7H20M16 21L20 17L16 13M20 17H4',
            'arrow left right bidirectional two way swap switch transaction reorder move',
        ],
        'arrow-right' => [
            'M5 12H19M12 5L19 12L12 19',
            'arrow right forward next direction east',
        ],
        'atom' => [
            'M11 12C11 12.55 11.45 13 12 13C12.55 13 13 12.55 13 12C13 11.45 12.55 11 12 11C11.45 11 11 11.45 11 12ZM20.2 20.2C22.24 18.17 20.22 12.84 15.7 8.3C11.16 3.78 5.83 1.76 3.8 3.8C1.76 5.83 3.78 11.16 8.3 15.7C12.84 20.22 18.17 22.24 20.2 20.2ZM15.7 15.7C20.22 11.16 22.24 5.83 20.2 3.8C18.17 1.76 12.84 3.78 8.3 8.3C3.78 12.84 1.76 18.17 3.8 20.2C5.83 22.24 11.16 20.22 15.7 15.7Z',
            'atom atomic nuclear physics particle element molecule electricity energy chemistry',
        ],
        'award' => [
            'M15.48 12.89L16.99 21.42C17.03 21.62 16.93 21.83 16.75 21.93C16.57 22.04 16.34 22.02 16.18 21.89L12.6 19.2C12.25 18.93 11.76 18.93 11.41 19.2L7.82 21.88C7.66 22.02 7.43 22.04 7.25 21.93C7.07 21.83 6.97 21.62 7.01 21.42L8.52 12.89M6 8C6 11.31 8.69 14 12 14C15.31 14 18 11.31 18 8C18 4.69 15.31 2 12 2C8.69 2 6 4.69 6 8Z',
            'award achievement badge rosette prize winner',
        ],
        'axe' => [
            'M14 12L5.62 20.38C4.79 21.21 3.45 21.21 2.62 20.38C1.79 19.55 1.79 18.21 2.62 17.38L11 9M15 15.5C15 15.78 15.22 16 15.5 16C19.09 16 22 13.09 22 9.5C22 9.22 21.78 9 21.5 9H19.83C19.3 9 18.79 8.79 18.41 8.41L13.35 3.35C12.88 2.88 12.12 2.88 11.65 3.35L9.35 5.65C8.88 6.12 8.88 6.88 9.35 7.35L14.41 12.41C14.79 12.79 15 13.3 15 13.83Z',
            'axe hatchet weapon chop sharp equipment fireman firefighter brigade lumberjack woodcutter logger forestry',
        ],
        'baby' => [
            'M10 16C10.5 16.3 11.2 16.5 12 16.5C12.8 16.5 13.5 16.3 14 16M15 12H15.01M19.38 6.81C20.08 7.83 20.56 8.99 20.8 10.2C21.49 10.53 21.93 11.23 21.93 12C21.93 12.77 21.49 13.47 20.8 13.8C19.91 17.95 16.24 20.91 12 20.91C7.76 20.91 4.09 17.95 3.2 13.8C2.51 13.47 2.07 12.77 2.07 12C2.07 11.23 2.51 10.53 3.2 10.2C4.05 6.02 7.73 3.01 12 3C14 3 15.5 4.1 15.5 5.5C15.5 6.9 14.6 8 13.5 8C12.7 8 12 7.6 12 7M9 12H9.01',
            'baby child childproof children',
        ],
        'backpack' => [
            'M4 10C4 7.79 5.79 6 8 6H16C18.21 6 20 7.79 20 10V20C20 21.1 19.1 22 18 22H6C4.9 22 4 21.1 4 20ZM8 10H16M8 18H16M8 22V16C8 14.9 8.9 14 10 14H14C15.1 14 16 14.9 16 16V22M9 6V4C9 2.9 9.9 2 11 2H13C14.1 2 15 2.9 15 4V6',
            'backpack bag hiking travel camping school childhood',
        ],
        'ban' => [
            'M2 12C2 17.52 6.48 22 12 22C17.52 22 22 17.52 22 12C22 6.48 17.52 2 12 2C6.48 2 2 6.48 2 12ZM4.93 4.93L19.07 19.07',
            'ban cancel no stop forbidden prohibited error incorrect mistake wrong failure circle slash null void',
        ],
        'banknote' => [
            'M4 6H20C21.1 6 22 6.9 22 8V16C22 17.1 21.1 18 20 18H4C2.9 18 2 17.1 2 16V8C2 6.9 2.9 6 4 6ZM10 12C10 13.1 10.9 14 12 14C13.1 14 14 13.1 14 12C14 10.9 13.1 10 12 10C10.9 10 10 10.9 10 12ZM6 12H6.01M18 12H18.01',
            'banknote currency money payment',
        ],
        'barrel' => [
            'M10.5 2C8.53 8.52 8.53 15.48 10.5 22M13.5 2C15.47 8.52 15.47 15.48 13.5 22M4.67 17H19.34M4.67 7H19.34M6.23 3.06C3.25 8.65 3.25 15.35 6.23 20.94C6.58 21.59 7.26 22 8 22H16C16.74 22 17.42 21.59 17.77 20.94C20.75 15.35 20.75 8.65 17.77 3.06C17.42 2.41 16.74 2 16 2H8C7.26 2 6.58 2.41 6.23 3.06',
            'barrel keg drum tank wine beer oak wood firkin hogshead kilderkin barrique solera aging whiskey brewery distillery winery vineyard',
        ],
        'bath' => [
            'M10 4L8 6M17 19V21M2 12H22M7 19V21M9 5L7.62 3.62C7.03 3.03 6.15 2.84 5.36 3.14C4.58 3.43 4.05 4.16 4 5V17C4 18.1 4.9 19 6 19H18C19.1 19 20 18.1 20 17V12',
            'bath amenities services bathroom shower',
        ],
        'battery-charging' => [
            'M11 7L8 12H12L9 17M14.86 6H16C17.1 6 18 6.9 18 8V16C18 17.1 17.1 18 16 18H13.06M22 14V10M5.14 18H4C2.9 18 2 17.1 2 16V8C2 6.9 2.9 6 4 6H6.94',
            'battery charging power electricity energy accumulator charge',
        ],
        'bed' => [
            'M2 4V20M2 8H20C21.1 8 22 8.9 22 10V20M2 17H22M6 8V17',
            'bed sleep hotel furniture',
        ],
        'bell' => [
            'M10.27 21C10.63 21.62 11.29 22 12 22C12.71 22 13.37 21.62 13.73 21M3.26 15.33C3 15.62 2.93 16.04 3.09 16.4C3.25 16.77 3.6 17 4 17H20C20.4 17 20.75 16.77 20.91 16.4C21.08 16.04 21.01 15.62 20.74 15.33C19.41 13.96 18 12.5 18 8C18 4.69 15.31 2 12 2C8.69 2 6 4.69 6 8C6 12.5 4.59 13.96 3.26 15.33',
            'bell alarm notification sound reminder',
        ],
        'bike' => [
            'M15 17.5C15 19.43 16.57 21 18.5 21C20.43 21 22 19.43 22 17.5C22 15.57 20.43 14 18.5 14C16.57 14 15 15.57 15 17.5ZM2 17.5C2 19.43 3.57 21 5.5 21C7.43 21 9 19.43 9 17.5C9 15.57 7.43 14 5.5 14C3.57 14 2 15.57 2 17.5ZM14 5C14 5.55 14.45 6 15 6C15.55 6 16 5.55 16 5C16 4.45 15.55 4 15 4C14.45 4 14 4.45 14 5ZM12 17.5V14L9 11L13 8L15 11H17',
            'bike bicycle transport trip',
        ],
        'bird' => [
            'M16 7H16.01M3.4 18H12C16.42 18 20 14.42 20 10V7C20 5.25 18.87 3.7 17.21 3.18C15.54 2.65 13.72 3.27 12.72 4.7L2 20M20 7L22 7.5L20 8M10 18V21M14 17.75V21M7 18C9.53 18 11.78 16.42 12.64 14.04C13.5 11.67 12.78 9.01 10.84 7.39',
            'bird peace freedom wing avian tweet',
        ],
        'bone' => [
            'M17 10C17.7 9.3 18.69 10 19.5 10C20.88 10 22 8.88 22 7.5C22 6.12 20.88 5 19.5 5C19.22 5 19 4.78 19 4.5C19 3.12 17.88 2 16.5 2C15.12 2 14 3.12 14 4.5C14 5.31 14.7 6.3 14 7L7 14C6.3 14.7 5.31 14 4.5 14C3.12 14 2 15.12 2 16.5C2 17.88 3.12 19 4.5 19C4.78 19 5 19.22 5 19.5C5 20.88 6.12 22 7.5 22C8.88 22 10 20.88 10 19.5C10 18.69 9.3 17.7 10 17Z',
            'bone health skeleton skull death pets dog',
        ],
        'book' => [
            'M4 19.5V4.5C4 3.12 5.12 2 6.5 2H19C19.55 2 20 2.45 20 3V21C20 21.55 19.55 22 19 22H6.5C5.12 22 4 20.88 4 19.5C4 18.12 5.12 17 6.5 17H20',
            'book reading paperback booklet magazine leaflet pamphlet tome library writing written writer author story script fiction novel information knowledge education high school university college academy student study learning homework research documentation',
        ],
        'book-open' => [
            'M12 5V21M20 19C21.11 19 22 18.1 22 17V5C22 3.9 21.11 3 20 3L16 3C14.43 3 12.94 3.74 12 5C11.06 3.74 9.57 3 8 3H4C2.9 3 2 3.9 2 5V17C2 18.1 2.89 19 4 19H8C9.57 19 11.06 19.74 12 21C12.94 19.74 14.43 19 16 19Z',
            'book open reading pages booklet magazine leaflet pamphlet library writing written writer author story script screenplay fiction novel information knowledge education high school university college academy student study learning homework research documentation revealed blank plain',
        ],
        'bookmark' => [
            'M17 3C18.1 3 19 3.9 19 5V20C19 20.36 18.81 20.69 18.5 20.86C18.19 21.04 17.81 21.04 17.5 20.87L12.99 18.29C12.38 17.94 11.62 17.94 11.01 18.29L6.5 20.87C6.19 21.04 5.81 21.04 5.5 20.86C5.19 20.69 5 20.36 5 20V5C5 3.9 5.9 3 7 3Z',
            'bookmark save favorite mark label attachment file stick pin read clip marker tag',
        ],
        'bot' => [
            'M12 8V4H8M6 8H18C19.1 8 20 8.9 20 10V18C20 19.1 19.1 20 18 20H6C4.9 20 4 19.1 4 18V10C4 8.9 4.9 8 6 8ZM2 14H4M20 14H22M15 13V15M9 13V15',
            'bot robot ai chat assistant',
        ],
        'box' => [
            'M21 8C21 7.29 20.62 6.63 20 6.27L13 2.27C12.38 1.91 11.62 1.91 11 2.27L4 6.27C3.38 6.63 3 7.29 3 8V16C3 16.71 3.38 17.37 4 17.73L11 21.73C11.62 22.09 12.38 22.09 13 21.73L20 17.73C20.62 17.37 21 16.71 21 16ZM3.3 7L12 12L20.7 7M12 22V12',
            'box cube package container storage geometry isometric',
        ],
        'brain' => [
            'M12 18V5M15 13C13.22 12.48 12 10.85 12 9C12 10.85 10.78 12.48 9 13M17.71 6.29C18.24 5.18 18.04 3.86 17.2 2.96C16.35 2.05 15.05 1.76 13.9 2.21C12.75 2.66 12 3.77 12 5C12 3.77 11.25 2.66 10.1 2.21C8.95 1.76 7.65 2.05 6.8 2.96C5.96 3.86 5.76 5.18 6.29 6.29M18 5.13C19.19 5.43 20.17 6.27 20.66 7.39C21.16 8.52 21.1 9.81 20.52 10.9M18 18C19.81 18 21.4 16.78 21.87 15.04C22.33 13.29 21.57 11.44 20 10.54M19.97 17.48C20.16 18.96 19.51 20.42 18.29 21.27C17.07 22.13 15.47 22.23 14.15 21.54C12.83 20.85 12 19.49 12 18C12 19.49 11.17 20.85 9.85 21.54C8.53 22.23 6.93 22.13 5.71 21.27C4.49 20.42 3.84 18.96 4.03 17.48M6 18C4.19 18 2.6 16.78 2.13 15.04C1.67 13.29 2.43 11.44 4 10.54M6 5.13C4.81 5.43 3.83 6.27 3.34 7.39C2.84 8.52 2.9 9.81 3.48 10.89',
            'brain medical mind mental intellect cerebral consciousness genius artificial intelligence ai think thought insight intelligent smart',
        ],
        'bridge' => [
            'M10 9.73V16M14 9.73V16M18 20V4M22 11L18 7C16.58 8.89 14.36 10 12 10C9.64 10 7.42 8.89 6 7L2 11M22 16H2M6 20V4',
            'bridge overpass cross over traverse viaduct suspension infrastructure transportation crossing road river gate golden travel landmark route maritime clearance',
        ],
        'briefcase' => [
            'M16 20V4C16 2.9 15.1 2 14 2H10C8.9 2 8 2.9 8 4V20M4 6H20C21.1 6 22 6.9 22 8V18C22 19.1 21.1 20 20 20H4C2.9 20 2 19.1 2 18V8C2 6.9 2.9 6 4 6Z',
            'briefcase work bag baggage folder',
        ],
        'bug' => [
            'M12 20V11M14 7C16.21 7 18 8.79 18 11V14C18 17.31 15.31 20 12 20C8.69 20 6 17.31 6 14V11C6 8.79 7.79 7 10 7ZM14.12 3.88L16 2M21 21C21 18.86 19.32 17.1 17.19 17M21 5C21 7.03 19.47 8.74 17.45 8.97M22 13H18M3 21C3 18.86 4.68 17.1 6.81 17M3 5C3 7.03 4.53 8.74 6.55 8.97M6 13H2M8 2L9.88 3.88M9 7.13V6C9 4.34 10.34 3 12 3C13.66 3 15 4.34 15 6V7.13',
            'bug issue error defect testing troubleshoot problem report debug code insect beetle',
        ],
        'building' => [
            'M12 10H12.01M12 14H12.01M12 6H12.01M16 10H16.01M16 14H16.01M16 6H16.01M8 10H8.01M8 14H8.01M8 6H8.01M9 22V19C9 18.45 9.45 18 10 18H14C14.55 18 15 18.45 15 19V22M6 2H18C19.1 2 20 2.9 20 4V20C20 21.1 19.1 22 18 22H6C4.9 22 4 21.1 4 20V4C4 2.9 4.9 2 6 2Z',
            'building organisation organization',
        ],
        'bus' => [
            'M8 6V12M15 6V12M2 12H21.6M18 18H21C21 18 21.5 16.3 21.8 15.2C21.9 14.8 22 14.4 22 14C22 13.6 21.9 13.2 21.8 12.8L20.4 7.8C20.1 6.8 19.1 6 18 6H4C2.9 6 2 6.9 2 8V18H5M5 18C5 19.1 5.9 20 7 20C8.1 20 9 19.1 9 18C9 16.9 8.1 16 7 16C5.9 16 5 16.9 5 18ZM9 18H14M14 18C14 19.1 14.9 20 16 20C17.1 20 18 19.1 18 18C18 16.9 17.1 16 16 16C14.9 16 14 16.9 14 18Z',
            'bus vehicle transport trip',
        ],
        'cake' => [
            'M20 21V13C20 11.9 19.1 11 18 11H6C4.9 11 4 11.9 4 13V21M4 16C4 16 4.5 15 6 15C7.5 15 8.5 17 10 17C11.5 17 12.5 15 14 15C15.5 15 16.5 17 18 17C19.5 17 20 16 20 16M2 21H22M7 8V11M12 8V11M17 8V11M7 4H7.01M12 4H12.01M17 4H17.01',
            'cake birthday birthdate celebration party surprise gateaux dessert fondant icing sugar sweet baking',
        ],
        'calculator' => [
            'M6 2H18C19.1 2 20 2.9 20 4V20C20 21.1 19.1 22 18 22H6C4.9 22 4 21.1 4 20V4C4 2.9 4.9 2 6 2ZM8 6L16 6M16 14L16 18M16 10H16.01M12 10H12.01M8 10H8.01M12 14H12.01M8 14H8.01M12 18H12.01M8 18H8.01',
            'calculator count calculating machine',
        ],
        'calendar' => [
            'M8 2V5M16 2V5M5 3H19C20.1 3 21 3.9 21 5V19C21 20.1 20.1 21 19 21H5C3.9 21 3 20.1 3 19V5C3 3.9 3.9 3 5 3ZM3 9H21',
            'calendar date month year event birthday birthdate',
        ],
        'calendar-days' => [
            'M8 2V5M16 2V5M5 3H19C20.1 3 21 3.9 21 5V19C21 20.1 20.1 21 19 21H5C3.9 21 3 20.1 3 19V5C3 3.9 3.9 3 5 3ZM3 9H21M8 13H8.01M12 13H12.01M16 13H16.01M8 17H8.01M12 17H12.01M16 17H16.01',
            'calendar days date month year event',
        ],
        'camera' => [
            'M14 4C14.73 4 15.41 4.4 15.76 5.05L16.24 5.95C16.59 6.6 17.27 7 18 7H20C21.1 7 22 7.9 22 9V18C22 19.1 21.1 20 20 20H4C2.9 20 2 19.1 2 18V9C2 7.9 2.9 7 4 7H6C6.73 7 7.41 6.6 7.76 5.95L8.25 5.05C8.59 4.4 9.27 4 10 4ZM9 13C9 14.66 10.34 16 12 16C13.66 16 15 14.66 15 13C15 11.34 13.66 10 12 10C10.34 10 9 11.34 9 13Z',
            'camera photography lens focus capture shot visual image device equipment photo webcam video',
        ],
        'car' => [
            'M19 17H21C21.6 17 22 16.6 22 16V13C22 12.1 21.3 11.3 20.5 11.1C18.7 10.6 16 10 16 10C16 10 14.7 8.6 13.8 7.7C13.3 7.3 12.7 7 12 7H5C4.4 7 3.9 7.4 3.6 7.9L2.2 10.8C2.07 11.19 2 11.59 2 12V16C2 16.6 2.4 17 3 17H5M5 17C5 18.1 5.9 19 7 19C8.1 19 9 18.1 9 17C9 15.9 8.1 15 7 15C5.9 15 5 15.9 5 17ZM9 17H15M15 17C15 18.1 15.9 19 17 19C18.1 19 19 18.1 19 17C19 15.9 18.1 15 17 15C15.9 15 15 15.9 15 17Z',
            'car vehicle drive trip journey',
        ],
        'carrot' => [
            'M15 16C16.93 14.07 16.93 10.93 15 9C13.07 7.07 9.93 7.07 8 9C5.33 11.67 3.34 15.79 2.01 21.38C1.97 21.55 2.02 21.73 2.15 21.85C2.27 21.98 2.45 22.03 2.61 21.99C8.21 20.66 12.33 18.67 15 16L12 13M15 9C17.67 11.67 20 11.67 22 9C20 6.33 17.67 6.33 15 9C17.67 6.33 17.67 4 15 2C12.33 4 12.33 6.33 15 9M8 15L5.42 12.42',
            'carrot orange healthy nature fresh root produce organic nutrition vegetable food eat',
        ],
        'castle' => [
            'M10 5V3M14 5V3M15 21V18C15 16.34 13.66 15 12 15C10.34 15 9 16.34 9 18V21M18 3V11M18 5H6M22 11H2M22 9V19C22 20.1 21.1 21 20 21H4C2.9 21 2 20.1 2 19V9M6 3V11',
            'castle fortress stronghold palace chateau building',
        ],
        'cat' => [
            'M12 5C12.67 5 13.35 5.09 14 5.26C15.78 3.26 19.03 2.42 20.42 3C21.82 3.58 20 10 20 10C20.57 11.07 21 12.24 21 13.44C21 17.9 16.97 21 12 21C7.03 21 3 18 3 13.44C3 12.19 3.5 11.04 4 10C4 10 2.11 3.58 3.5 3C4.89 2.42 8.22 3.23 10 5.23C10.66 5.08 11.33 5 12 5ZM8 14V14.5M16 14V14.5M11.25 16.25H12.75L12 17L11.25 16.25Z',
            'cat animal pet kitten feline',
        ],
        'chart-column' => [
            'M3 3V19C3 20.1 3.9 21 5 21H21M18 17V9M13 17V5M8 17V14',
            'chart column statistics analytics diagram graph',
        ],
        'chart-line' => [
            'M3 3V19C3 20.1 3.9 21 5 21H21M19 9L14 14L10 10L7 13',
            'chart line statistics analytics diagram graph',
        ],
        'chart-pie' => [
            'M21 12C21.55 12 22 11.55 21.95 11C21.47 6.27 17.73 2.53 13 2.05C12.45 2 12 2.45 12 3V11C12 11.55 12.45 12 13 12ZM21.21 15.89C19.46 20.03 15.16 22.49 10.71 21.91C6.25 21.33 2.73 17.85 2.1 13.4C1.47 8.95 3.88 4.63 8 2.83',
            'chart pie statistics analytics diagram presentation',
        ],
        'check' => [
            'M20 6L9 17L4 12',
            'check done todo tick complete task',
        ],
        'chess-knight' => [
            'M5 20C5 18.9 5.9 18 7 18H17C18.1 18 19 18.9 19 20V21C19 21.55 18.55 22 18 22H6C5.45 22 5 21.55 5 21ZM16.5 18C17.5 16 19 13 19 9C19 5.13 15.87 2 12 2H6.63C6.25 2 5.89 2.22 5.73 2.58C5.57 2.93 5.62 3.34 5.87 3.64L7 5L4.68 10.8C4.3 11.76 4.71 12.86 5.63 13.33L8.5 14.78M15 5L16.43 3.58M17 8L18.53 6.47M9.71 12.19L7 18',
            'chess knight piece horse board game',
        ],
        'church' => [
            'M10 9H14M12 7V12M14 21V18C14 16.9 13.1 16 12 16C10.9 16 10 16.9 10 18V21M18 9L21.52 11.15C21.82 11.33 22 11.65 22 12V19C22 20.1 21.1 21 20 21H4C2.9 21 2 20.1 2 19V12C2 11.65 2.18 11.33 2.48 11.15L6 9M6 21V7C6 6.7 6.14 6.41 6.38 6.22L11.38 2.22C11.74 1.93 12.26 1.93 12.63 2.22L17.63 6.22C17.86 6.41 18 6.7 18 7V21',
            'church temple building',
        ],
        'circle' => [
            'M2 12C2 17.52 6.48 22 12 22C17.52 22 22 17.52 22 12C22 6.48 17.52 2 12 2C6.48 2 2 6.48 2 12Z',
            'circle off zero record shape',
        ],
        'circle-check' => [
            'M2 12C2 17.52 6.48 22 12 22C17.52 22 22 17.52 22 12C22 6.48 17.52 2 12 2C6.48 2 2 6.48 2 12ZM16 9L10.5 14.5L8 12',
            'circle check done todo tick complete task',
        ],
        'circle-question-mark' => [
            'M2 12C2 17.52 6.48 22 12 22C17.52 22 22 17.52 22 12C22 6.48 17.52 2 12 2C6.48 2 2 6.48 2 12ZM9.09 9C9.58 7.62 10.99 6.79 12.43 7.04C13.87 7.29 14.92 8.54 14.92 10C14.92 12 11.92 13 11.92 13M12 17H12.01',
            'circle question mark',
        ],
        'circle-x' => [
            'M2 12C2 17.52 6.48 22 12 22C17.52 22 22 17.52 22 12C22 6.48 17.52 2 12 2C6.48 2 2 6.48 2 12ZM15 9L9 15M9 9L15 15',
            'circle cancel close cross delete remove times clear error incorrect wrong mistake failure linter multiply multiplication',
        ],
        'clipboard-list' => [
            'M9 2H15C15.55 2 16 2.45 16 3V5C16 5.55 15.55 6 15 6H9C8.45 6 8 5.55 8 5V3C8 2.45 8.45 2 9 2ZM16 4H18C19.1 4 20 4.9 20 6V20C20 21.1 19.1 22 18 22H6C4.9 22 4 21.1 4 20V6C4 4.9 4.9 4 6 4H8M12 11H16M12 16H16M8 11H8.01M8 16H8.01',
            'clipboard list copy paste tasks',
        ],
        'clock' => [
            'M2 12C2 17.52 6.48 22 12 22C17.52 22 22 17.52 22 12C22 6.48 17.52 2 12 2C6.48 2 2 6.48 2 12ZM12 6V12L16 14',
            'clock time watch alarm',
        ],
        'cloud' => [
            'M17.5 19H9C5.4 19 2.38 16.26 2.03 12.67C1.69 9.09 4.12 5.82 7.66 5.13C11.2 4.44 14.68 6.55 15.71 10H17.5C19.99 10 22 12.01 22 14.5C22 16.99 19.99 19 17.5 19Z',
            'cloud weather',
        ],
        'cloud-lightning' => [
            'M6 16.33C3.1 14.95 1.51 11.77 2.14 8.62C2.78 5.47 5.47 3.16 8.68 3.01C11.89 2.86 14.79 4.92 15.71 8H17.5C19.89 8 21.87 9.86 22 12.25C22.13 14.64 20.38 16.71 18 16.97M13 12L10 17H14L11 22',
            'cloud lightning weather bolt',
        ],
        'cloud-rain' => [
            'M4 14.9C1.96 12.82 1.43 9.7 2.65 7.06C3.88 4.42 6.6 2.81 9.51 3.02C12.41 3.23 14.88 5.21 15.71 8H17.5C19.48 8 21.23 9.3 21.81 11.19C22.38 13.09 21.65 15.14 20 16.24M16 14V20M8 14V20M12 16V22',
            'cloud rain weather rainfall',
        ],
        'code' => [
            'M16 18L22 12L16 6M8 6L2 12L8 18',
            'code source programming html xml',
        ],
        'coffee' => [
            'M10 2V4M14 2V4M16 8C16.55 8 17 8.45 17 9V17C17 19.21 15.21 21 13 21H7C4.79 21 3 19.21 3 17V9C3 8.45 3.45 8 4 8H18C20.21 8 22 9.79 22 12C22 14.21 20.21 16 18 16H17M6 2V4',
            'coffee drink cup mug tea cafe hot beverage',
        ],
        'coins' => [
            'M13.74 17.74C12.92 20.48 10.26 22.25 7.41 21.97C4.56 21.69 2.31 19.44 2.03 16.59C1.75 13.74 3.52 11.08 6.26 10.26M15 6H16V10M6.13 14.77L7 14.27L9 17.73M10 8C10 11.31 12.69 14 16 14C19.31 14 22 11.31 22 8C22 4.69 19.31 2 16 2C12.69 2 10 4.69 10 8Z',
            'coins money cash finance gamble',
        ],
        'compass' => [
            'M2 12C2 17.52 6.48 22 12 22C17.52 22 22 17.52 22 12C22 6.48 17.52 2 12 2C6.48 2 2 6.48 2 12ZM16.24 7.76L14.44 13.17C14.24 13.77 13.77 14.24 13.17 14.44L7.76 16.24L9.56 10.83C9.76 10.23 10.23 9.76 10.83 9.56Z',
            'compass direction north east south west browser',
        ],
        'contact' => [
            'M16 2V4M7 21V19C7 17.9 7.9 17 9 17H15C16.1 17 17 17.9 17 19V21M8 2V4M9 10C9 11.66 10.34 13 12 13C13.66 13 15 11.66 15 10C15 8.34 13.66 7 12 7C10.34 7 9 8.34 9 10ZM5 3H19C20.1 3 21 3.9 21 5V19C21 20.1 20.1 21 19 21H5C3.9 21 3 20.1 3 19V5C3 3.9 3.9 3 5 3Z',
            'contact user person family friend acquaintance listing networking',
        ],
        'cooking-pot' => [
            'M2 12H22M20 12V20C20 21.1 19.1 22 18 22H6C4.9 22 4 21.1 4 20V12M4 8L20 4M8.86 6.78L8.41 4.97C8.28 4.46 8.36 3.91 8.63 3.45C8.9 3 9.35 2.67 9.86 2.54L11.8 2.06C12.32 1.93 12.86 2.01 13.32 2.29C13.77 2.56 14.1 3 14.23 3.52L14.68 5.32',
            'cooking pot pod recipe food kitchen chef restaurant dinner lunch breakfast meal eat',
        ],
        'corner-down-right' => [
            'M15 10L20 15L15 20M4 4V11C4 13.21 5.79 15 8 15H20',
            'corner down right arrow indent tab',
        ],
        'cpu' => [
            'M12 20V22M12 2V4M17 20V22M17 2V4M2 12H4M2 17H4M2 7H4M20 12H22M20 17H22M20 7H22M7 20V22M7 2V4M6 4H18C19.1 4 20 4.9 20 6V18C20 19.1 19.1 20 18 20H6C4.9 20 4 19.1 4 18V6C4 4.9 4.9 4 6 4ZM9 8H15C15.55 8 16 8.45 16 9V15C16 15.55 15.55 16 15 16H9C8.45 16 8 15.55 8 15V9C8 8.45 8.45 8 9 8Z',
            'cpu processor cores technology computer chip circuit memory ram specs gigahertz ghz',
        ],
        'crop' => [
            'M6 2V16C6 17.1 6.9 18 8 18H22M18 22V8C18 6.9 17.1 6 16 6H2',
            'crop photo image',
        ],
        'crown' => [
            'M11.56 3.27C11.65 3.11 11.82 3.01 12 3.01C12.18 3.01 12.35 3.11 12.44 3.27L15.39 8.87C15.53 9.13 15.79 9.32 16.08 9.37C16.37 9.43 16.68 9.35 16.91 9.16L21.18 5.5C21.35 5.36 21.59 5.35 21.77 5.47C21.95 5.59 22.04 5.81 21.98 6.02L19.15 16.27C19.03 16.7 18.64 17 18.19 17H5.81C5.36 17 4.97 16.7 4.85 16.27L2.02 6.02C1.96 5.81 2.05 5.59 2.23 5.47C2.41 5.35 2.65 5.36 2.82 5.5L7.09 9.16C7.32 9.36 7.63 9.43 7.92 9.38C8.21 9.32 8.47 9.13 8.61 8.87ZM5 21H19',
            'crown diadem tiara circlet corona king ruler winner favourite',
        ],
        'database' => [
            'M3 5C3 6.66 7.03 8 12 8C16.97 8 21 6.66 21 5C21 3.34 16.97 2 12 2C7.03 2 3 3.34 3 5ZM3 5V19C3 20.66 7.03 22 12 22C16.97 22 21 20.66 21 19V5M3 12C3 13.66 7.03 15 12 15C16.97 15 21 13.66 21 12',
            'database storage memory container tin pot bytes servers',
        ],
        'diamond' => [
            'M2.7 10.3C2.25 10.75 1.99 11.37 1.99 12.01C1.99 12.64 2.25 13.26 2.7 13.71L10.29 21.3C10.74 21.75 11.36 22.01 11.99 22.01C12.63 22.01 13.25 21.75 13.7 21.3L21.29 13.71C21.74 13.26 22 12.64 22 12.01C22 11.37 21.74 10.75 21.29 10.3L13.7 2.71C13.25 2.26 12.63 2 11.99 2C11.36 2 10.74 2.26 10.29 2.71Z',
            'diamond square rectangle oblique rhombus shape suit playing cards',
        ],
        'dice-5' => [
            'M5 3H19C20.1 3 21 3.9 21 5V19C21 20.1 20.1 21 19 21H5C3.9 21 3 20.1 3 19V5C3 3.9 3.9 3 5 3ZM16 8H16.01M8 8H8.01M8 16H8.01M16 16H16.01M12 12H12.01',
            'dice random tabletop board game',
        ],
        'dna' => [
            'M10 16L11.5 17.5M14 8L12.5 6.5M15 2C13.2 4 12.48 6 12.19 7.99M16.5 10.5L17.5 11.5M17 6L14.11 3.11M2 15C8.67 9 15.33 15 22 9M20 9L20.89 9.89M3.11 14.11L4 15M6.5 12.5L7.5 13.5M7 18L9.89 20.89M9 22C10.8 20 11.52 18 11.81 16.01',
            'dna gene gmo helix heredity chromosome nucleic acid',
        ],
        'dog' => [
            'M11.25 16.25H12.75L12 17ZM16 14V14.5M4.42 11.25C4.14 12.33 4 13.44 4 14.56C4 18.73 7.58 21 12 21C16.42 21 20 18.73 20 14.56C19.99 13.44 19.83 12.32 19.51 11.25M8 14V14.5M8.5 8.5C8.12 9.55 7.42 10.53 6.16 11C4.23 11.72 2.58 10.7 2.5 10C2.39 9.01 3.68 3.47 6.5 3C8.42 2.68 10.15 3.84 10.15 5.23C11.42 4.91 12.74 4.93 14 5.28C14 3.89 15.84 2.68 17.77 3C20.59 3.47 21.88 9.01 21.77 10C21.69 10.7 20.04 11.72 18.11 11C16.85 10.53 16.26 9.55 15.87 8.5',
            'dog animal pet puppy hound canine',
        ],
        'door-closed' => [
            'M19 21V5C19 3.9 18.1 3 17 3H7C5.9 3 5 3.9 5 5V21M2 21H22M9 12H9.01',
            'door closed entrance entry exit ingress egress gate gateway emergency',
        ],
        'door-open' => [
            'M10 21H2M10 3H7C5.9 3 5 3.9 5 5V21M14 12H14.01M19 21V5C19 4.02 18.29 3.19 17.33 3.03L11.16 2.01C10.87 1.97 10.58 2.05 10.35 2.24C10.13 2.43 10 2.71 10 3V21C10 21.29 10.12 21.56 10.34 21.75C10.55 21.94 10.84 22.03 11.12 21.99ZM22 21H19',
            'door open entrance entry exit ingress egress gate gateway emergency',
        ],
        'drama' => [
            'M10 11H10.01M14 6H14.01M18 6H18.01M6.5 13.1H6.51M22 5C22 14 18 17 16 17C14 17 10 14 10 5C10 3 12 2 16 2C20 2 22 3 22 5M17.4 9.9C16.6 10.7 15.4 10.7 14.6 9.9M10.1 7.1C9 7.2 7.7 7.7 6 8.6C2.5 10.6 1.3 12.5 2.3 14.2C6.8 22 11.8 22.6 13.5 21.6C14.4 21.1 15.4 19.5 15.4 16.9M9.1 16.5C9.4 15.4 10.5 14.8 11.5 15.1',
            'drama masks theater theatre entertainment show',
        ],
        'drill' => [
            'M10 18C10.55 18 11 18.45 11 19V21C11 21.55 10.55 22 10 22H5C3.34 22 2 20.66 2 19C2 18.45 2.45 18 3 18ZM13 10H4C2.9 10 2 9.1 2 8V4C2 2.9 2.9 2 4 2H13C13.55 2 14 2.45 14 3V9C14 9.55 13.55 10 13 10L12.19 13.24C12.08 13.69 11.68 14 11.22 14H8M14 4H17C17.55 4 18 4.45 18 5V7C18 7.55 17.55 8 17 8H14M18 6H22M5 10L3 18M7 18L9 10',
            'drill power bit head hole diy toolbox build construction',
        ],
        'droplet' => [
            'M12 22C15.87 22 19 18.87 19 15C19 13 18 11.1 16 9.5C14 7.9 12.5 5.5 12 3C11.5 5.5 10 7.9 8 9.5C6 11.1 5 13 5 15C5 18.87 8.13 22 12 22Z',
            'droplet water weather liquid fluid wet moisture damp bead globule',
        ],
        'droplets' => [
            'M7 16.3C9.2 16.3 11 14.47 11 12.25C11 11.09 10.43 9.99 9.29 9.06C8.15 8.13 7.29 6.75 7 5.3C6.71 6.75 5.86 8.14 4.71 9.06C3.56 9.98 3 11.1 3 12.25C3 14.47 4.8 16.3 7 16.3ZM12.56 6.6C13.25 5.5 13.74 4.29 14 3.02C14.5 5.52 16 7.92 18 9.52C20 11.12 21 13.02 21 15.02C21.01 17.85 19.32 20.4 16.71 21.49C14.1 22.58 11.09 21.99 9.09 19.99',
            'droplets water weather liquid fluid wet moisture damp bead globule',
        ],
        'drum' => [
            'M2 2L10 10M22 2L14 10M2 9C2 11.76 6.48 14 12 14C17.52 14 22 11.76 22 9C22 6.24 17.52 4 12 4C6.48 4 2 6.24 2 9ZM7 13.4V21.3M12 14V22M17 13.4V21.3M2 9V17C2 19.76 6.48 22 12 22C17.52 22 22 19.76 22 17V9',
            'drum drummer kit sticks instrument beat bang bass backing track band play performance concert march music audio sound noise loud',
        ],
        'dumbbell' => [
            'M17.6 12.77C18.38 13.55 19.64 13.55 20.43 12.77C21.21 11.99 21.21 10.72 20.43 9.94L18.66 8.17C19.44 8.95 20.7 8.95 21.49 8.17C22.27 7.39 22.27 6.12 21.48 5.34L18.66 2.52C17.88 1.73 16.61 1.73 15.83 2.51C15.05 3.3 15.05 4.56 15.83 5.34L14.06 3.58C13.56 3.07 12.82 2.87 12.13 3.06C11.44 3.24 10.9 3.78 10.71 4.47C10.53 5.16 10.73 5.9 11.23 6.4ZM2.5 21.5L3.9 20.1M20.1 3.9L21.5 2.5M5.34 21.48C6.12 22.27 7.39 22.27 8.17 21.49C8.95 20.7 8.95 19.44 8.17 18.66L9.94 20.43C10.72 21.21 11.99 21.21 12.77 20.43C13.55 19.64 13.55 18.38 12.77 17.6L6.4 11.23C5.62 10.45 4.36 10.45 3.58 11.23C2.79 12.01 2.79 13.28 3.58 14.06L5.34 15.83C4.56 15.05 3.3 15.05 2.51 15.83C1.73 16.61 1.73 17.88 2.52 18.66ZM9.6 14.4L14.4 9.6',
            'dumbbell barbell weight workout gym',
        ],
        'ear' => [
            'M6 8.5C6 4.91 8.91 2 12.5 2C16.09 2 19 4.91 19 8.5C19 14.5 13 14.5 13 18.5C13 20.43 11.43 22 9.5 22C7.57 22 6 20.43 6 18.5M15 8.5C15 7.12 13.88 6 12.5 6C11.12 6 10 7.12 10 8.5V9.5C11.1 9.5 12 10.4 12 11.5C12 12.6 11.1 13.5 10 13.5',
            'ear hearing noise audio accessibility',
        ],
        'earth' => [
            'M21.54 15H17C15.9 15 15 15.9 15 17V21.54M7 3.34V5C7 6.66 8.34 8 10 8C11.1 8 12 8.9 12 10C12 11.1 12.9 12 14 12C15.1 12 16 11.1 16 10C16 8.9 16.9 8 18 8H21.17M11 21.95V18C11 16.9 10.1 16 9 16C7.9 16 7 15.1 7 14V13C7 11.9 6.1 11 5 11H2.05M2 12C2 17.52 6.48 22 12 22C17.52 22 22 17.52 22 12C22 6.48 17.52 2 12 2C6.48 2 2 6.48 2 12Z',
            'earth world browser language translate globe',
        ],
        'egg' => [
            'M12 2C8 2 4 8 4 14C4 18.42 7.58 22 12 22C16.42 22 20 18.42 20 14C20 8 16 2 12 2',
            'egg bird chicken nest hatch shell incubate soft boiled hard breakfast brunch morning easter',
        ],
        'eighth-notes' => [
            'M21 16V3C21 2.69 20.85 2.39 20.6 2.2C20.35 2.01 20.02 1.95 19.72 2.04L9.72 4.96C9.29 5.08 9 5.47 9 5.92V19M15 16C15 17.66 16.34 19 18 19C19.66 19 21 17.66 21 16C21 14.34 19.66 13 18 13C16.34 13 15 14.34 15 16ZM3 19C3 20.66 4.34 22 6 22C7.66 22 9 20.66 9 19C9 17.34 7.66 16 6 16C4.34 16 3 17.34 3 19Z',
            'eighth notes audio music sound quavers',
        ],
        'eraser' => [
            'M21 21H8C7.47 21 6.96 20.79 6.58 20.41L2.59 16.41C1.81 15.63 1.81 14.37 2.59 13.59L12.59 3.59C12.96 3.21 13.47 3 14 3C14.53 3 15.04 3.21 15.41 3.59L21.41 9.59C22.19 10.37 22.19 11.63 21.41 12.41L12.83 21M5.08 11.09L13.91 19.92',
            'eraser pencil drawing undo delete clear trash remove',
        ],
        'eye' => [
            'M2.06 12.35C1.98 12.12 1.98 11.88 2.06 11.65C3.72 7.63 7.65 5 12 5C16.35 5 20.28 7.63 21.94 11.65C22.02 11.88 22.02 12.12 21.94 12.35C20.28 16.37 16.35 19 12 19C7.65 19 3.72 16.37 2.06 12.35M9 12C9 13.66 10.34 15 12 15C13.66 15 15 13.66 15 12C15 10.34 13.66 9 12 9C10.34 9 9 10.34 9 12Z',
            'eye view watch see show expose reveal display visible visibility vision preview read',
        ],
        'face-neutral' => [
            'M15 10V9M8 16H16M9 10V9M2 12C2 17.52 6.48 22 12 22C17.52 22 22 17.52 22 12C22 6.48 17.52 2 12 2C6.48 2 2 6.48 2 12Z',
            'face neutral emoji emotion meh blank stare social masking irritation concern deadpan',
        ],
        'face-slightly-frowning' => [
            'M15 10V9M9 10V9M9 16C10.78 14.67 13.22 14.67 15 16M2 12C2 17.52 6.48 22 12 22C17.52 22 22 17.52 22 12C22 6.48 17.52 2 12 2C6.48 2 2 6.48 2 12Z',
            'face slightly frowning emoji bad sadness emotion concern disappointment',
        ],
        'face-slightly-smiling' => [
            'M15 10V9M16.47 15C15.33 16.27 13.71 17 12 17C10.29 17 8.67 16.27 7.53 15M9 10V9M2 12C2 17.52 6.48 22 12 22C17.52 22 22 17.52 22 12C22 6.48 17.52 2 12 2C6.48 2 2 6.48 2 12Z',
            'face slightly smiling smile happy happiness good positive friendly patronizing passive aggressive ironic emoji emotion',
        ],
        'factory' => [
            'M12 16H12.01M16 16H16.01M3 19C3 20.1 3.9 21 5 21H19C20.1 21 21 20.1 21 19V8.5C21 8.32 20.9 8.15 20.74 8.06C20.58 7.97 20.39 7.98 20.23 8.08L15.77 10.92C15.61 11.02 15.42 11.03 15.26 10.94C15.1 10.85 15 10.68 15 10.5V8.5C15 8.32 14.9 8.15 14.74 8.06C14.58 7.97 14.39 7.98 14.23 8.08L9.77 10.92C9.62 11.02 9.42 11.03 9.26 10.94C9.1 10.85 9 10.68 9 10.5V5C9 3.9 8.1 3 7 3H5C3.9 3 3 3.9 3 5ZM8 16H8.01',
            'factory building business energy industry manufacture sector',
        ],
        'feather' => [
            'M14.09 18.41C13.71 18.79 13.2 19 12.67 19H5V11.33C5 10.8 5.21 10.29 5.59 9.91L11.75 3.75C13.27 2.23 15.48 1.64 17.55 2.2C19.62 2.75 21.24 4.37 21.79 6.44C22.35 8.51 21.76 10.72 20.24 12.24ZM16 8L2 22M17.49 15H9',
            'feather quill plume writing author literature poetry manuscript bird plumage lightweight soft',
        ],
        'fence' => [
            'M4 3L2 5V20C2 20.6 2.4 21 3 21H5C5.6 21 6 20.6 6 20V5ZM6 8H10M6 18H10M12 3L10 5V20C10 20.6 10.4 21 11 21H13C13.6 21 14 20.6 14 20V5ZM14 8H18M14 18H18M20 3L18 5V20C18 20.6 18.4 21 19 21H21C21.6 21 22 20.6 22 20V5Z',
            'fence picket panels woodwork diy materials suburban garden property territory',
        ],
        'film' => [
            'M5 3H19C20.1 3 21 3.9 21 5V19C21 20.1 20.1 21 19 21H5C3.9 21 3 20.1 3 19V5C3 3.9 3.9 3 5 3ZM7 3V21M3 7.5H7M3 12H21M3 16.5H7M17 3V21M17 7.5H21M17 16.5H21',
            'film movie video reel camera cinema entertainment',
        ],
        'fingerprint-pattern' => [
            'M12 10C10.9 10 10 10.9 10 12C10 13.02 9.9 14.51 9.74 16M14 13.12C14 15.5 14 19.5 13 22M17.29 21.02C17.41 20.42 17.72 18.72 17.79 18M2 12C2 7.7 4.75 3.87 8.84 2.51C12.92 1.15 17.42 2.56 20 6M2 16H2.01M21.8 16C22 14 21.93 10.65 21.8 10M5 19.5C5.5 18 6 15 6 12C6 11.32 6.11 10.64 6.34 10M8.65 22C8.86 21.34 9.1 20.68 9.22 20M9 6.8C10.86 5.73 13.15 5.73 15 6.8C16.86 7.87 18 9.86 18 12V14',
            'fingerprint pattern authentication biometric identity security',
        ],
        'fish' => [
            'M6.5 12C7.44 8.54 11.44 6 15 6C18.56 6 21.06 8.54 22 12C21.06 15.47 18.56 18 15 18C11.44 18 7.44 15.47 6.5 12ZM18 12V12.5M16 17.93C13.33 14.43 13.33 9.57 16 6.07M7 10.67C7 8 5.58 5.97 2.73 5.5C1.73 7 1.73 10.5 2.96 12C1.72 13.5 1.72 17 2.73 18.5C5.58 18.03 7 16 7 13.33M10.46 7.26C10.2 5.88 9.17 4.24 8 3H13.8C14.78 3 15.62 3.7 15.78 4.67L16.01 6.07M16.01 17.93L15.78 19.33C15.62 20.3 14.78 21 13.8 21H9.5C10.47 19.9 11 18.48 10.99 17.02',
            'fish dish restaurant course meal seafood pet sea marine',
        ],
        'flag-triangle-right' => [
            'M6 22V2.8C6 2.52 6.15 2.26 6.38 2.12C6.62 1.97 6.92 1.96 7.17 2.09L18.55 7.78C18.83 7.91 19 8.19 19 8.5C19 8.81 18.83 9.09 18.55 9.22L6 15.5',
            'flag triangle right report timeline marker pin',
        ],
        'flame' => [
            'M12 3C12.67 5.67 14 7.83 16 9.5C18 11.17 19 13 19 15C19 18.87 15.87 22 12 22C8.13 22 5 18.87 5 15C5 13.92 5.35 12.87 6 12C6 13.38 7.12 14.5 8.5 14.5C9.88 14.5 11 13.38 11 12C11 10 9.5 9 9.5 7C9.5 5.67 10.33 4.33 12 3',
            'flame heat burn light glow ignite passion ember fire lit burning spark embers smoke firefighter fireman department brigade station emergency',
        ],
        'flask-conical' => [
            'M14 2V8C14 8.34 14.08 8.67 14.24 8.96L19.75 19.04C20.09 19.66 20.08 20.41 19.72 21.02C19.36 21.63 18.71 22 18 22H6C5.29 22 4.64 21.63 4.28 21.02C3.92 20.41 3.91 19.66 4.25 19.04L9.76 8.96C9.92 8.67 10 8.34 10 8V2M6.45 15H17.55M8.5 2H15.5',
            'flask conical beaker erlenmeyer lab chemistry experiment test',
        ],
        'flower' => [
            'M9 12C9 13.66 10.34 15 12 15C13.66 15 15 13.66 15 12C15 10.34 13.66 9 12 9C10.34 9 9 10.34 9 12ZM12 16.5C12 18.99 9.99 21 7.5 21C5.01 21 3 18.99 3 16.5C3 14.01 5.01 12 7.5 12C5.01 12 3 9.99 3 7.5C3 5.01 5.01 3 7.5 3C9.99 3 12 5.01 12 7.5C12 5.01 14.01 3 16.5 3C18.99 3 21 5.01 21 7.5C21 9.99 18.99 12 16.5 12C18.99 12 21 14.01 21 16.5C21 18.99 18.99 21 16.5 21C14.01 21 12 18.99 12 16.5M12 7.5V9M7.5 12H9M16.5 12H15M12 16.5V15M8 8L9.88 9.88M14.12 9.88L16 8M8 16L9.88 14.12M14.12 14.12L16 16',
            'flower sustainability nature plant spring',
        ],
        'folder' => [
            'M20 20C21.1 20 22 19.1 22 18V8C22 6.9 21.1 6 20 6H12.1C11.42 6.01 10.78 5.67 10.41 5.1L9.6 3.9C9.23 3.34 8.6 3 7.93 3H4C2.9 3 2 3.9 2 5V18C2 19.1 2.9 20 4 20Z',
            'folder directory',
        ],
        'footprints' => [
            'M4 16V13.62C4 11.5 2.97 10.5 3 8C3.03 5.28 4.49 2 7.5 2C9.37 2 10 3.8 10 5.5C10 8.61 8 11.16 8 14.18V16C8 17.1 7.1 18 6 18C4.9 18 4 17.1 4 16ZM20 20V17.62C20 15.5 21.03 14.5 21 12C20.97 9.28 19.51 6 16.5 6C14.63 6 14 7.8 14 9.5C14 12.61 16 15.16 16 18.18V20C16 21.1 16.9 22 18 22C19.1 22 20 21.1 20 20ZM16 17H20M4 13H8',
            'footprints steps walking foot feet trail shoe',
        ],
        'fuel' => [
            'M14 13H16C17.1 13 18 13.9 18 15V17C18 18.1 18.9 19 20 19C21.1 19 22 18.1 22 17V10C22 9.47 21.79 8.96 21.41 8.58L18 5M14 21V5C14 3.9 13.1 3 12 3H5C3.9 3 3 3.9 3 5V21M2 21H15M3 9H14',
            'fuel filling station gas petrol tank',
        ],
        'gamepad-2' => [
            'M6 11L10 11M8 9L8 13M15 12L15.01 12M18 10L18.01 10M17.32 5H6.68C4.63 5 2.91 6.55 2.7 8.59C2.7 8.64 2.69 8.69 2.68 8.74C2.6 9.42 2 14.46 2 16C2 17.66 3.34 19 5 19C6 19 6.5 18.5 7 18L8.41 16.59C8.79 16.21 9.3 16 9.83 16H14.17C14.7 16 15.21 16.21 15.59 16.59L17 18C17.5 18.5 18 19 19 19C20.66 19 22 17.66 22 16C22 14.46 21.4 9.42 21.32 8.74C21.31 8.69 21.3 8.64 21.3 8.59C21.09 6.55 19.37 5 17.32 5Z',
            'gamepad console',
        ],
        'gavel' => [
            'M14 13L5.62 21.38C4.79 22.21 3.45 22.21 2.62 21.38C1.79 20.55 1.79 19.21 2.62 18.38L11 10M16 16L22 10M21.5 10.5L13.5 2.5M8 8L14 2M8.5 7.5L16.5 15.5',
            'gavel justice law court judgment legal hands penalty decision authority hammer mallet',
        ],
        'gem' => [
            'M10.5 3L8 9L12 22L16 9L13.5 3M17 3C17.63 3 18.22 3.3 18.6 3.8L21.6 7.8C22.13 8.5 22.13 9.47 21.61 10.18L13.62 21.17C13.25 21.69 12.64 22 12 22C11.36 22 10.75 21.69 10.38 21.17L2.39 10.18C1.87 9.47 1.87 8.5 2.4 7.8L5.4 3.8C5.78 3.3 6.37 3 7 3ZM2 9H22',
            'gem diamond crystal ruby jewellery price special present gift ring wedding proposal marriage rubygems',
        ],
        'ghost' => [
            'M15 10V11M7.53 20.47C7.83 20.17 8.24 20 8.67 20C9.09 20 9.5 20.17 9.8 20.47L10.86 21.53C11.16 21.83 11.57 22 12 22C12.43 22 12.84 21.83 13.14 21.53L14.2 20.47C14.5 20.17 14.91 20 15.33 20C15.76 20 16.17 20.17 16.47 20.47L17.59 21.59C17.99 22.01 18.6 22.14 19.14 21.91C19.67 21.69 20.01 21.16 20 20.59V10C20 5.58 16.42 2 12 2C7.58 2 4 5.58 4 10V20.59C3.99 21.16 4.33 21.69 4.86 21.91C5.4 22.14 6.01 22.01 6.41 21.59ZM9 10V11',
            'ghost spirit haunt specter apparition wraith shade phantom entity shadow silhouette pac man spooky halloween haunted invisible hidden empty dead obsolete outdated',
        ],
        'gift' => [
            'M12 7V21M20 11V19C20 20.1 19.1 21 18 21H6C4.9 21 4 20.1 4 19V11M7.5 7C6.12 7 5 5.88 5 4.5C5 3.12 6.12 2 7.5 2C9.47 1.97 11.26 3.95 12 7C12.74 3.95 14.53 1.97 16.5 2C17.88 2 19 3.12 19 4.5C19 5.88 17.88 7 16.5 7M4 7H20C20.55 7 21 7.45 21 8V10C21 10.55 20.55 11 20 11H4C3.45 11 3 10.55 3 10V8C3 7.45 3.45 7 4 7Z',
            'gift present box birthday party',
        ],
        'globe' => [
            'M2 12C2 17.52 6.48 22 12 22C17.52 22 22 17.52 22 12C22 6.48 17.52 2 12 2C6.48 2 2 6.48 2 12ZM12 2C6.67 7.6 6.67 16.4 12 22C17.33 16.4 17.33 7.6 12 2M2 12H22',
            'globe world browser language translate',
        ],
        'graduation-cap' => [
            'M21.42 10.92C21.79 10.76 22.02 10.4 22.02 10C22.01 9.6 21.77 9.24 21.4 9.08L12.83 5.18C12.3 4.94 11.7 4.94 11.17 5.18L2.6 9.08C2.24 9.24 2 9.6 2 10C2 10.39 2.24 10.75 2.6 10.91L11.17 14.82C11.7 15.06 12.3 15.06 12.83 14.82ZM22 10V16M6 12.5V16C6 17.66 8.69 19 12 19C15.31 19 18 17.66 18 16V12.5',
            'graduation cap school university learn study mortarboard education ceremony academic hat diploma doctorate',
        ],
        'guitar' => [
            'M11.9 12.1L16.41 7.59M20.1 2.3C19.71 1.92 19.09 1.92 18.7 2.3L17.59 3.41C17.21 3.79 17 4.3 17 4.83V6.17C17 6.7 16.79 7.21 16.41 7.59C16.79 7.21 17.3 7 17.83 7H19.17C19.7 7 20.21 6.79 20.59 6.41L21.7 5.3C22.08 4.91 22.08 4.29 21.7 3.9ZM6 16L8 18M8.23 9.85C8.69 8.73 9.79 8 11 8C13.76 8 16 10.24 16 13C16 14.21 15.27 15.31 14.15 15.77L13.23 16.15C12.48 16.46 12 17.19 12 18C12 20.21 10.21 22 8 22C4.69 22 2 19.31 2 16C2 13.79 3.79 12 6 12C6.81 12 7.54 11.52 7.85 10.77Z',
            'guitar acoustic instrument strings riff rock band country concert performance play lead loud music audio sound noise',
        ],
        'hammer' => [
            'M15 12L5.63 21.37C4.8 22.2 3.46 22.2 2.63 21.37C1.8 20.55 1.8 19.2 2.63 18.37L12 9M18 15L22 11M21.5 11.5L19.59 9.59C19.21 9.21 19 8.7 19 8.17V7.83C19 7.3 18.79 6.79 18.41 6.41L16.76 4.76C15.63 3.63 14.11 3 12.52 3H9L10.24 4.24C11.37 5.37 12 6.89 12 8.49V10L14 12H15.17C15.7 12 16.21 12.21 16.59 12.59L18.5 14.5',
            'hammer mallet nails diy toolbox build construction',
        ],
        'hand' => [
            'M18 11V6C18 4.9 17.1 4 16 4C14.9 4 14 4.9 14 6M14 10V4C14 2.9 13.1 2 12 2C10.9 2 10 2.9 10 4V6M10 10.5V6C10 4.9 9.1 4 8 4C6.9 4 6 4.9 6 6V14M18 8C18 6.9 18.9 6 20 6C21.1 6 22 6.9 22 8V14C22 18.42 18.42 22 14 22H12C9.2 22 7.5 21.14 6.01 19.66L2.41 16.06C1.7 15.27 1.73 14.06 2.48 13.3C3.24 12.55 4.45 12.52 5.24 13.24L7 15',
            'hand wave move mouse grab',
        ],
        'hand-coins' => [
            'M11 15H13C14.1 15 15 14.1 15 13C15 11.9 14.1 11 13 11H10C9.4 11 8.9 11.2 8.6 11.6L3 17M7 21L8.6 19.6C8.9 19.2 9.4 19 10 19H14C15.1 19 16.1 18.6 16.8 17.8L21.4 13.4C22.2 12.64 22.24 11.37 21.48 10.57C20.72 9.77 19.45 9.73 18.65 10.49L14.45 14.39M2 16L8 22M13.1 9C13.1 10.04 13.65 10.99 14.55 11.51C15.45 12.03 16.55 12.03 17.45 11.51C18.35 10.99 18.9 10.04 18.9 9C18.9 7.4 17.6 6.1 16 6.1C14.4 6.1 13.1 7.4 13.1 9ZM3 5C3 6.66 4.34 8 6 8C7.66 8 9 6.66 9 5C9 3.34 7.66 2 6 2C4.34 2 3 3.34 3 5Z',
            'hand coins savings banking money finance offers mortgage payment received wage payroll allowance pocket handout pennies',
        ],
        'hand-heart' => [
            'M11 14H13C14.1 14 15 13.1 15 12C15 10.9 14.1 10 13 10H10C9.4 10 8.9 10.2 8.6 10.6L3 16M14.45 13.39L19.5 8.7C20.2 8 21 6.85 21 5.75C21 4.61 20.3 3.59 19.23 3.18C18.17 2.77 16.96 3.06 16.2 3.91C16.15 3.97 16.08 4 16 4C15.92 4 15.85 3.97 15.8 3.91C15.04 3.06 13.83 2.77 12.77 3.18C11.7 3.59 11 4.61 11 5.75C11 6.95 11.8 8 12.5 8.7L16 11.95M2 15L8 21M7 20L8.6 18.6C8.9 18.2 9.4 18 10 18H14C15.1 18 16.1 17.6 16.8 16.8L21.4 12.4C22.2 11.64 22.24 10.37 21.48 9.57C20.72 8.77 19.45 8.73 18.65 9.49',
            'hand heart love like emotion',
        ],
        'handshake' => [
            'M11 17L13 19C13.83 19.83 15.17 19.83 16 19C16.83 18.17 16.83 16.83 16 16M14 14L16.5 16.5C17.33 17.33 18.67 17.33 19.5 16.5C20.33 15.67 20.33 14.33 19.5 13.5L15.62 9.62C14.45 8.45 12.55 8.45 11.38 9.62L10.5 10.5C9.67 11.33 8.33 11.33 7.5 10.5C6.67 9.67 6.67 8.33 7.5 7.5L10.31 4.69C12.19 2.82 15.09 2.46 17.37 3.82L17.84 4.1C18.27 4.36 18.77 4.45 19.26 4.35L21 4M21 3L22 14H20M3 3L2 14L8.5 20.5C9.33 21.33 10.67 21.33 11.5 20.5C12.33 19.67 12.33 18.33 11.5 17.5M3 4H11',
            'handshake agreement partnership deal business assistance cooperation friendship union terms',
        ],
        'headphones' => [
            'M3 14H6C7.1 14 8 14.9 8 16V19C8 20.1 7.1 21 6 21H5C3.9 21 3 20.1 3 19V12C3 7.03 7.03 3 12 3C16.97 3 21 7.03 21 12V19C21 20.1 20.1 21 19 21H18C16.9 21 16 20.1 16 19V16C16 14.9 16.9 14 18 14H21',
            'headphones music audio sound',
        ],
        'heart' => [
            'M2 9.5C2 7.22 3.4 5.18 5.53 4.36C7.66 3.55 10.07 4.13 11.59 5.82C11.7 5.94 11.84 6 12 6C12.16 6 12.3 5.94 12.41 5.82C13.93 4.12 16.34 3.53 18.47 4.35C20.61 5.16 22.01 7.22 22 9.5C22 11.79 20.5 13.5 19 15L13.51 20.31C13.13 20.75 12.59 21 12.01 21C11.44 21 10.89 20.76 10.51 20.33L5 15C3.5 13.5 2 11.8 2 9.5',
            'heart like love emotion suit playing cards',
        ],
        'heart-crack' => [
            'M12.41 5.82C11.71 6.62 11.26 7.32 10.99 7.99L13.15 10.15C13.34 10.34 13.34 10.66 13.15 10.85L10.85 13.15C10.66 13.34 10.66 13.66 10.85 13.85L12 15M13.51 20.31C13.13 20.75 12.59 21 12.01 21C11.44 21 10.89 20.76 10.51 20.33L5 15C3.5 13.5 2 11.8 2 9.5C2 7.22 3.4 5.18 5.53 4.36C7.66 3.55 10.07 4.13 11.59 5.82C11.82 6.04 12.18 6.04 12.41 5.82C13.93 4.13 16.34 3.55 18.47 4.36C20.6 5.18 22 7.22 22 9.5C22 11.79 20.5 13.5 19 15Z',
            'heart crack heartbreak sadness emotion',
        ],
        'hexagon' => [
            'M21 16V8C21 7.29 20.62 6.63 20 6.27L13 2.27C12.38 1.91 11.62 1.91 11 2.27L4 6.27C3.38 6.63 3 7.29 3 8V16C3 16.71 3.38 17.37 4 17.73L11 21.73C11.62 22.09 12.38 22.09 13 21.73L20 17.73C20.62 17.37 21 16.71 21 16Z',
            'hexagon shape logo',
        ],
        'highlighter' => [
            'M9 11L3 17V20H12L15 17M22 12L17.4 16.6C16.62 17.36 15.38 17.36 14.6 16.6L9.4 11.4C8.64 10.62 8.64 9.38 9.4 8.6L14 4',
            'highlighter mark text',
        ],
        'hospital' => [
            'M12 7V11M14 21V18C14 16.9 13.1 16 12 16C10.9 16 10 16.9 10 18V21M14 9H10M18 11H20C21.1 11 22 11.9 22 13V19C22 20.1 21.1 21 20 21H4C2.9 21 2 20.1 2 19V10C2 8.9 2.9 8 4 8H6M18 21V5C18 3.9 17.1 3 16 3H8C6.9 3 6 3.9 6 5V21',
            'hospital infirmary sanatorium healthcare doctor hospice clinic emergency room ward building medical vet',
        ],
        'hourglass' => [
            'M5 22H19M5 2H19M17 22V17.83C17 17.3 16.79 16.79 16.41 16.41L12 12L7.59 16.41C7.21 16.79 7 17.3 7 17.83V22M7 2V6.17C7 6.7 7.21 7.21 7.59 7.59L12 12L16.41 7.59C16.79 7.21 17 6.7 17 6.17V2',
            'hourglass timer time sandglass',
        ],
        'house' => [
            'M15 21V13C15 12.45 14.55 12 14 12H10C9.45 12 9 12.45 9 13V21M3 10C3 9.41 3.26 8.85 3.71 8.47L10.71 2.47C11.45 1.84 12.55 1.84 13.29 2.47L20.29 8.47C20.74 8.85 21 9.41 21 10V19C21 20.1 20.1 21 19 21H5C3.9 21 3 20.1 3 19Z',
            'house home living building residence architecture',
        ],
        'image' => [
            'M5 3H19C20.1 3 21 3.9 21 5V19C21 20.1 20.1 21 19 21H5C3.9 21 3 20.1 3 19V5C3 3.9 3.9 3 5 3ZM7 9C7 10.1 7.9 11 9 11C10.1 11 11 10.1 11 9C11 7.9 10.1 7 9 7C7.9 7 7 7.9 7 9ZM21 15L17.91 11.91C17.13 11.13 15.87 11.13 15.09 11.91L6 21',
            'image picture photo',
        ],
        'infinity' => [
            'M6 16C11 16 13 8 18 8C20.21 8 22 9.79 22 12C22 14.21 20.21 16 18 16C13 16 11 8 6 8C3.79 8 2 9.79 2 12C2 14.21 3.79 16 6 16',
            'infinity unlimited forever loop math',
        ],
        'key' => [
            'M2 21L11.6 11.4M7.5 15.5L9.8 17.8C10.18 18.19 10.18 18.81 9.8 19.2L7.7 21.3C7.31 21.68 6.69 21.68 6.3 21.3L4 19M10 7.5C10 10.54 12.46 13 15.5 13C18.54 13 21 10.54 21 7.5C21 4.46 18.54 2 15.5 2C12.46 2 10 4.46 10 7.5Z',
            'key password login authentication secure unlock keychain ring fob',
        ],
        'keyboard' => [
            'M10 8H10.01M12 12H12.01M14 8H14.01M16 12H16.01M18 8H18.01M6 8H6.01M7 16H17M8 12H8.01M4 4H20C21.1 4 22 4.9 22 6V18C22 19.1 21.1 20 20 20H4C2.9 20 2 19.1 2 18V6C2 4.9 2.9 4 4 4Z',
            'keyboard layout spell settings mouse',
        ],
        'lamp' => [
            'M12 12V18M4.08 10.62C3.95 10.92 3.98 11.28 4.17 11.55C4.35 11.83 4.67 12 5 12H19C19.33 12 19.65 11.83 19.83 11.55C20.02 11.28 20.05 10.92 19.92 10.62L16.85 3.23C16.54 2.49 15.81 2 15 2H9C8.19 2 7.46 2.49 7.15 3.23ZM8 20C8 18.9 8.9 18 10 18H14C15.1 18 16 18.9 16 20V21C16 21.55 15.55 22 15 22H9C8.45 22 8 21.55 8 21Z',
            'lamp lighting household home furniture',
        ],
        'landmark' => [
            'M10 18V11M11.12 2.21C11.67 1.93 12.33 1.93 12.88 2.21L20.72 6.05C20.93 6.15 21.04 6.39 20.99 6.61C20.94 6.84 20.73 7 20.5 7H3.5C3.27 7 3.07 6.84 3.01 6.61C2.96 6.39 3.07 6.15 3.28 6.05ZM14 18V11M18 18V11M3 22H21M6 18V11',
            'landmark bank building capitol finance money museum art gallery hall institute pediment portico doric columns pillars classical architecture government institution monument site history historic library temple ancient structure',
        ],
        'languages' => [
            'M5 8L11 14M4 14L10 8L12 5M2 5H14M7 2H8M22 22L17 12L12 22M14 18H20',
            'languages translate',
        ],
        'layers' => [
            'M12.83 2.18C12.3 1.94 11.7 1.94 11.17 2.18L2.6 6.08C2.24 6.24 2 6.6 2 7C2 7.39 2.24 7.75 2.6 7.91L11.18 11.82C11.71 12.06 12.31 12.06 12.84 11.82L21.42 7.92C21.78 7.76 22.02 7.4 22.02 7C22.02 6.61 21.78 6.25 21.42 6.09ZM2 12C2 12.39 2.23 12.75 2.58 12.91L11.18 16.82C11.7 17.06 12.31 17.06 12.83 16.82L21.41 12.92C21.77 12.76 22 12.4 22 12M2 17C2 17.39 2.23 17.75 2.58 17.91L11.18 21.82C11.7 22.06 12.31 22.06 12.83 21.82L21.41 17.92C21.77 17.76 22 17.4 22 17',
            'layers stack pile pages sheets paperwork copies copy',
        ],
        'leaf' => [
            'M11 20C16.52 20 21 15.52 21 10C21 7.54 20.65 5.08 19.96 2.72C19.85 2.36 19.55 2.09 19.18 2.02C18.81 1.95 18.43 2.09 18.21 2.39C15.83 5.5 13 5.5 9.8 6.1C6.21 6.71 3.69 9.97 4 13.6C4.32 17.23 7.36 20.01 11 20M2 21C2 19.05 3.14 17.27 4.91 16.46C7.61 15.21 8.35 15.24 11 13',
            'leaf sustainability nature energy plant autumn',
        ],
        'library' => [
            'M16 6L20 20M12 6V20M8 8V20M4 4V20',
            'library books reading written authors stories fiction novels information knowledge education high school university college academy learning study research collection vinyl records albums music package',
        ],
        'life-buoy' => [
            'M2 12C2 17.52 6.48 22 12 22C17.52 22 22 17.52 22 12C22 6.48 17.52 2 12 2C6.48 2 2 6.48 2 12ZM4.93 4.93L9.17 9.17M14.83 9.17L19.07 4.93M14.83 14.83L19.07 19.07M9.17 14.83L4.93 19.07M8 12C8 14.21 9.79 16 12 16C14.21 16 16 14.21 16 12C16 9.79 14.21 8 12 8C9.79 8 8 9.79 8 12Z',
            'life buoy preserver belt lifesaver help rescue ship ring raft inflatable wheel donut',
        ],
        'lightbulb' => [
            'M15 14C15.2 13 15.7 12.3 16.5 11.5C17.5 10.6 18 9.3 18 8C18 4.69 15.31 2 12 2C8.69 2 6 4.69 6 8C6 9 6.2 10.2 7.5 11.5C8.2 12.2 8.8 13 9 14M9 18H15M10 22H14',
            'lightbulb idea bright lights',
        ],
        'lighthouse' => [
            'M12 3V2M16.07 16.86L7 22L9 11V6C9 4.34 10.34 3 12 3C13.66 3 15 4.34 15 6V11L17 22M19.79 4.5L20.66 4M19.8 13.5L20.66 14M21 9H22M3 9H2M4.2 13.5L3.34 14M4.21 4.5L3.34 4M5.5 22H18.5M7.93 16.88L15.31 12.7M8 11H16M8 7H16',
            'lighthouse beacon coast navigation tower sea ocean maritime guide safety light shine port marine faro signal nautical harbor shore beam wayfinding guidance onboarding help landmark',
        ],
        'link' => [
            'M10 13C10.87 14.16 12.2 14.89 13.65 14.99C15.09 15.1 16.51 14.57 17.54 13.54L20.54 10.54C22.43 8.58 22.41 5.46 20.48 3.53C18.55 1.6 15.43 1.58 13.47 3.47L11.75 5.18M14 11C13.13 9.84 11.8 9.11 10.35 9.01C8.91 8.9 7.49 9.43 6.46 10.46L3.46 13.46C1.57 15.42 1.59 18.54 3.52 20.47C5.45 22.4 8.57 22.42 10.53 20.53L12.24 18.82',
            'link chain url',
        ],
        'list-checks' => [
            'M13 5H21M13 12H21M13 19H21M3 17L5 19L9 15M3 7L5 9L9 5',
            'list checks todo done check tick complete tasks items pending',
        ],
        'lock' => [
            'M5 11H19C20.1 11 21 11.9 21 13V20C21 21.1 20.1 22 19 22H5C3.9 22 3 21.1 3 20V13C3 11.9 3.9 11 5 11ZM7 11V7C7 4.24 9.24 2 12 2C14.76 2 17 4.24 17 7V11',
            'lock security password secure admin',
        ],
        'lock-open' => [
            'M5 11H19C20.1 11 21 11.9 21 13V20C21 21.1 20.1 22 19 22H5C3.9 22 3 21.1 3 20V13C3 11.9 3.9 11 5 11ZM7 11V7C7 4.43 8.94 2.28 11.5 2.02C14.05 1.76 16.39 3.48 16.9 6',
            'lock open security',
        ],
        'luggage' => [
            'M6 20C4.9 20 4 19.1 4 18V8C4 6.9 4.9 6 6 6H18C19.1 6 20 6.9 20 8V18C20 19.1 19.1 20 18 20M8 18V4C8 2.9 8.9 2 10 2H14C15.1 2 16 2.9 16 4V18M10 20H14M14 20C14 21.1 14.9 22 16 22C17.1 22 18 21.1 18 20C18 18.9 17.1 18 16 18C14.9 18 14 18.9 14 20ZM6 20C6 21.1 6.9 22 8 22C9.1 22 10 21.1 10 20C10 18.9 9.1 18 8 18C6.9 18 6 18.9 6 20Z',
            'luggage baggage travel suitcase',
        ],
        'magnet' => [
            'M12 15L16 19M2.35 10.65C1.88 11.12 1.88 11.88 2.35 12.35L4.65 14.65C5.12 15.12 5.88 15.12 6.35 14.65L12.38 8.62C13.21 7.79 14.55 7.79 15.38 8.62C16.21 9.45 16.21 10.79 15.38 11.62L9.35 17.65C8.88 18.12 8.88 18.88 9.35 19.35L11.65 21.65C12.12 22.12 12.88 22.12 13.35 21.65L19.72 15.28C21.68 13.32 22.45 10.45 21.73 7.77C21.01 5.08 18.91 2.99 16.23 2.27C13.54 1.55 10.68 2.32 8.72 4.28ZM5 8L9 12',
            'magnet horseshoe lock science snap',
        ],
        'mail' => [
            'M22 7L13.01 12.73C12.39 13.09 11.62 13.09 11 12.73L2 7M4 4H20C21.1 4 22 4.9 22 6V18C22 19.1 21.1 20 20 20H4C2.9 20 2 19.1 2 18V6C2 4.9 2.9 4 4 4Z',
            'mail email message letter unread',
        ],
        'map' => [
            'M14.11 5.55C14.67 5.83 15.33 5.83 15.89 5.55L19.55 3.72C19.86 3.57 20.23 3.58 20.53 3.77C20.82 3.95 21 4.27 21 4.62V17.38C21 17.76 20.79 18.11 20.45 18.28L15.89 20.55C15.33 20.84 14.67 20.84 14.11 20.55L9.89 18.45C9.33 18.17 8.67 18.17 8.11 18.45L4.45 20.28C4.14 20.43 3.77 20.42 3.47 20.23C3.18 20.05 3 19.73 3 19.38V6.62C3 6.24 3.21 5.89 3.55 5.72L8.11 3.45C8.67 3.17 9.33 3.17 9.89 3.45ZM15 5.76V20.76M9 3.24V18.24',
            'map location navigation travel',
        ],
        'map-pin' => [
            'M20 10C20 14.99 14.46 20.19 12.6 21.8C12.25 22.07 11.75 22.07 11.4 21.8C9.54 20.19 4 14.99 4 10C4 5.58 7.58 2 12 2C16.42 2 20 5.58 20 10M9 10C9 11.66 10.34 13 12 13C13.66 13 15 11.66 15 10C15 8.34 13.66 7 12 7C10.34 7 9 8.34 9 10Z',
            'map pin location waypoint marker drop',
        ],
        'medal' => [
            'M7.21 15L2.66 7.14C2.26 6.45 2.31 5.58 2.79 4.94L4.4 2.8C4.78 2.3 5.37 2 6 2H18C18.63 2 19.22 2.3 19.6 2.8L21.2 4.94C21.68 5.58 21.74 6.44 21.34 7.14L16.79 15M11 12L5.12 2.2M13 12L18.88 2.2M8 7H16M7 17C7 19.76 9.24 22 12 22C14.76 22 17 19.76 17 17C17 14.24 14.76 12 12 12C9.24 12 7 14.24 7 17ZM12 18V16H11.5',
            'medal prize sports winner trophy award achievement',
        ],
        'megaphone' => [
            'M11 6C14.04 6.08 17.01 5.09 19.4 3.2C19.7 2.97 20.11 2.94 20.45 3.11C20.79 3.27 21 3.62 21 4V16C21 16.38 20.79 16.73 20.45 16.89C20.11 17.06 19.7 17.03 19.4 16.8C17.01 14.91 14.04 13.92 11 14H5C3.9 14 3 13.1 3 12V8C3 6.9 3.9 6 5 6ZM6 14C6 16.6 6.84 19.12 8.4 21.2C9.06 22.08 10.32 22.26 11.2 21.6C12.08 20.94 12.26 19.68 11.6 18.8C10.56 17.42 10 15.73 10 14M8 6V14',
            'megaphone advertisement announcement attention alert loudspeaker notification',
        ],
        'merge' => [
            'M8 6L12 2L16 6M12 2V12.3C12.01 13.38 11.59 14.41 10.83 15.17L4 22M20 22L15 17',
            'merge combine join unite',
        ],
        'message-circle' => [
            'M2.99 16.34C3.14 16.71 3.17 17.12 3.09 17.51L2.02 20.8C1.95 21.14 2.06 21.49 2.31 21.73C2.57 21.97 2.92 22.06 3.26 21.97L6.67 20.97C7.04 20.9 7.42 20.93 7.77 21.06C12.18 23.12 17.43 21.71 20.21 17.71C22.99 13.72 22.49 8.31 19.03 4.89C15.57 1.47 10.15 1.04 6.19 3.86C2.23 6.69 0.88 11.96 2.99 16.34',
            'message circle comment chat conversation dialog feedback speech bubble',
        ],
        'message-circle-question-mark' => [
            'M2.99 16.34C3.14 16.71 3.17 17.12 3.09 17.51L2.02 20.8C1.95 21.14 2.06 21.49 2.31 21.73C2.57 21.97 2.92 22.06 3.26 21.97L6.67 20.97C7.04 20.9 7.42 20.93 7.77 21.06C12.18 23.12 17.43 21.71 20.21 17.71C22.99 13.72 22.49 8.31 19.03 4.89C15.57 1.47 10.15 1.04 6.19 3.86C2.23 6.69 0.88 11.96 2.99 16.34M9.09 9C9.58 7.62 10.99 6.79 12.43 7.04C13.87 7.29 14.92 8.54 14.92 10C14.92 12 11.92 13 11.92 13M12 17H12.01',
            'message circle question mark comment chat conversation dialog feedback speech bubble help',
        ],
        'mic' => [
            'M12 19V22M19 10V12C19 15.87 15.87 19 12 19C8.13 19 5 15.87 5 12V10M12 2H12C13.66 2 15 3.34 15 5V12C15 13.66 13.66 15 12 15H12C10.34 15 9 13.66 9 12V5C9 3.34 10.34 2 12 2Z',
            'mic record sound listen radio podcast microphone',
        ],
        'microscope' => [
            'M6 18H14M3 22H21M14 22C17.87 22 21 18.87 21 15C21 11.13 17.87 8 14 8H13M9 14H11M9 12C7.9 12 7 11.1 7 10V6H13V10C13 11.1 12.1 12 11 12ZM12 6V3C12 2.45 11.55 2 11 2H9C8.45 2 8 2.45 8 3V6',
            'microscope medical education science imaging research',
        ],
        'milestone' => [
            'M12 13V21M12 3V6M18.17 6C18.7 6 19.21 6.21 19.59 6.59L21.65 8.65C21.87 8.87 22 9.18 22 9.5C22 9.82 21.87 10.13 21.65 10.35L19.59 12.41C19.21 12.79 18.7 13 18.17 13H4C3.45 13 3 12.55 3 12V7C3 6.45 3.45 6 4 6Z',
            'milestone signpost direction right east forward version control waypoint',
        ],
        'monitor' => [
            'M4 3H20C21.1 3 22 3.9 22 5V15C22 16.1 21.1 17 20 17H4C2.9 17 2 16.1 2 15V5C2 3.9 2.9 3 4 3ZM8 21L16 21M12 17L12 21',
            'monitor tv computer desktop screen display external sharing virtual machine vm',
        ],
        'moon' => [
            'M20.98 12.49C20.72 17.32 16.68 21.09 11.84 21C6.99 20.91 3.09 17.01 3 12.16C2.91 7.32 6.67 3.28 11.51 3.01C11.92 2.99 12.13 3.47 11.91 3.82C10.43 6.19 10.78 9.26 12.76 11.24C14.73 13.22 17.81 13.57 20.18 12.09C20.53 11.87 21.01 12.08 20.98 12.49',
            'moon dark night',
        ],
        'mountain' => [
            'M8 3L12 11L17 6L22 21H2L8 3Z',
            'mountain climb hike rock',
        ],
        'network' => [
            'M17 16H21C21.55 16 22 16.45 22 17V21C22 21.55 21.55 22 21 22H17C16.45 22 16 21.55 16 21V17C16 16.45 16.45 16 17 16ZM3 16H7C7.55 16 8 16.45 8 17V21C8 21.55 7.55 22 7 22H3C2.45 22 2 21.55 2 21V17C2 16.45 2.45 16 3 16ZM10 2H14C14.55 2 15 2.45 15 3V7C15 7.55 14.55 8 14 8H10C9.45 8 9 7.55 9 7V3C9 2.45 9.45 2 10 2ZM5 16V13C5 12.45 5.45 12 6 12H18C18.55 12 19 12.45 19 13V16M12 12V8',
            'network tree',
        ],
        'newspaper' => [
            'M15 18H10M18 14H10M4 22H20C21.1 22 22 21.1 22 20V4C22 2.9 21.1 2 20 2H8C6.9 2 6 2.9 6 4V20C6 21.1 5.1 22 4 22C2.9 22 2 21.1 2 20V11C2 9.9 2.9 9 4 9H6M11 6H17C17.55 6 18 6.45 18 7V9C18 9.55 17.55 10 17 10H11C10.45 10 10 9.55 10 9V7C10 6.45 10.45 6 11 6Z',
            'newspaper news feed home magazine article headline',
        ],
        'notebook' => [
            'M2 6H6M2 10H6M2 14H6M2 18H6M6 2H18C19.1 2 20 2.9 20 4V20C20 21.1 19.1 22 18 22H6C4.9 22 4 21.1 4 20V4C4 2.9 4.9 2 6 2ZM16 2V22',
            'notebook notepad notes stationery sketchbook moleskine closure strap band elastic organizer organiser planner diary journal writing written writer reading high school university college academy student study homework research',
        ],
        'package' => [
            'M11 21.73C11.62 22.09 12.38 22.09 13 21.73L20 17.73C20.62 17.37 21 16.71 21 16V8C21 7.29 20.62 6.63 20 6.27L13 2.27C12.38 1.91 11.62 1.91 11 2.27L4 6.27C3.38 6.63 3 7.29 3 8V16C3 16.71 3.38 17.37 4 17.73ZM12 22V12M3.29 7L12 12L20.71 7M7.5 4.27L16.5 9.42',
            'package box container storage sealed delivery undelivered unopened packed archive zip module',
        ],
        'paintbrush' => [
            'M14.62 17.9L3.94 14.98M18.38 2.62C18.91 2.09 19.69 1.88 20.43 2.07C21.16 2.27 21.73 2.84 21.93 3.57C22.12 4.31 21.91 5.09 21.38 5.62L17.36 9.64C17.16 9.84 17.16 10.15 17.36 10.35L18.3 11.29C19.24 12.24 19.24 13.76 18.3 14.7L17.36 15.65C17.16 15.84 16.85 15.84 16.65 15.65L8.35 7.35C8.16 7.15 8.16 6.84 8.35 6.64L9.3 5.7C10.24 4.76 11.76 4.76 12.71 5.7L13.65 6.64C13.85 6.84 14.16 6.84 14.36 6.64ZM9 8C7.2 10.71 5.03 11.46 2.42 11.95C2.24 11.98 2.09 12.1 2.03 12.27C1.97 12.44 2 12.63 2.12 12.77L9.44 21.65C9.74 21.97 10.22 22.06 10.62 21.85C12.73 20.41 16 16.79 16 15',
            'paintbrush brush design color colour decoration diy',
        ],
        'palette' => [
            'M12 22C6.48 22 2 17.52 2 12C2 6.48 6.48 2 12 2C17.52 2 22 6.03 22 11C22 13.76 19.76 16 17 16H14.75C14.09 16 13.48 16.37 13.18 16.97C12.89 17.56 12.95 18.27 13.35 18.8L13.65 19.2C14.05 19.73 14.11 20.44 13.82 21.03C13.52 21.63 12.91 22 12.25 22ZM13 6.5C13 6.78 13.22 7 13.5 7C13.78 7 14 6.78 14 6.5C14 6.22 13.78 6 13.5 6C13.22 6 13 6.22 13 6.5ZM17 10.5C17 10.78 17.22 11 17.5 11C17.78 11 18 10.78 18 10.5C18 10.22 17.78 10 17.5 10C17.22 10 17 10.22 17 10.5ZM6 12.5C6 12.78 6.22 13 6.5 13C6.78 13 7 12.78 7 12.5C7 12.22 6.78 12 6.5 12C6.22 12 6 12.22 6 12.5ZM8 7.5C8 7.78 8.22 8 8.5 8C8.78 8 9 7.78 9 7.5C9 7.22 8.78 7 8.5 7C8.22 7 8 7.22 8 7.5Z',
            'palette colors colours theme scheme paint watercolor watercolour artist',
        ],
        'paperclip' => [
            'M16 6L7.59 14.59C6.8 15.37 6.8 16.63 7.59 17.41C8.37 18.2 9.63 18.2 10.42 17.41L18.83 8.83C19.84 7.82 20.23 6.35 19.86 4.97C19.49 3.58 18.42 2.51 17.04 2.14C15.66 1.77 14.18 2.16 13.17 3.17L4.79 11.72C3.26 13.23 2.65 15.45 3.2 17.54C3.75 19.62 5.38 21.25 7.46 21.8C9.55 22.35 11.77 21.74 13.28 20.21L21.66 11.66',
            'paperclip attachment file',
        ],
        'paw-print' => [
            'M9 4C9 5.1 9.9 6 11 6C12.1 6 13 5.1 13 4C13 2.9 12.1 2 11 2C9.9 2 9 2.9 9 4ZM16 8C16 9.1 16.9 10 18 10C19.1 10 20 9.1 20 8C20 6.9 19.1 6 18 6C16.9 6 16 6.9 16 8ZM18 16C18 17.1 18.9 18 20 18C21.1 18 22 17.1 22 16C22 14.9 21.1 14 20 14C18.9 14 18 14.9 18 16ZM9 10C11.76 10 14 12.24 14 15V18.5C14 20.23 12.74 21.7 11.03 21.96C9.32 22.22 7.68 21.19 7.16 19.55C6.73 18.17 5.83 17.27 4.46 16.84C2.81 16.32 1.79 14.68 2.05 12.97C2.31 11.27 3.77 10 5.5 10Z',
            'paw print pets vets veterinarian domesticated cat dog bear',
        ],
        'pen-line' => [
            'M13 21H21M21.17 6.81C22.27 5.71 22.28 3.93 21.17 2.83C20.07 1.72 18.29 1.72 17.19 2.83L3.84 16.17C3.61 16.41 3.44 16.69 3.34 17L2.02 21.36C1.97 21.53 2.02 21.72 2.15 21.85C2.28 21.98 2.47 22.03 2.64 21.98L7 20.66C7.31 20.56 7.6 20.39 7.83 20.16Z',
            'pen line pencil change create draw writer writing biro ink marker felt tip stationery artist',
        ],
        'pencil' => [
            'M21.17 6.81C22.27 5.71 22.28 3.93 21.17 2.83C20.07 1.72 18.29 1.72 17.19 2.83L3.84 16.17C3.61 16.41 3.44 16.69 3.34 17L2.02 21.36C1.97 21.53 2.02 21.72 2.15 21.85C2.28 21.98 2.47 22.03 2.64 21.98L7 20.66C7.31 20.56 7.6 20.39 7.83 20.16ZM15 5L19 9',
            'pencil rubber edit create draw sketch draft writer writing stationery artist',
        ],
        'percent' => [
            'M19 5L5 19M4 6.5C4 7.88 5.12 9 6.5 9C7.88 9 9 7.88 9 6.5C9 5.12 7.88 4 6.5 4C5.12 4 4 5.12 4 6.5ZM15 17.5C15 18.88 16.12 20 17.5 20C18.88 20 20 18.88 20 17.5C20 16.12 18.88 15 17.5 15C16.12 15 15 16.12 15 17.5Z',
            'percent percentage modulo modulus remainder sale discount offer marketing',
        ],
        'person-standing' => [
            'M11 5C11 5.55 11.45 6 12 6C12.55 6 13 5.55 13 5C13 4.45 12.55 4 12 4C11.45 4 11 4.45 11 5ZM9 20L12 14L15 20M6 8L12 10L18 8M12 10V14',
            'person standing people human accessibility stick figure',
        ],
        'phone' => [
            'M13.83 16.57C14.26 16.76 14.76 16.64 15.05 16.26L15.4 15.8C15.78 15.3 16.37 15 17 15H20C21.1 15 22 15.9 22 17V20C22 21.1 21.1 22 20 22C10.06 22 2 13.94 2 4C2 2.9 2.9 2 4 2H7C8.1 2 9 2.9 9 4V7C9 7.63 8.7 8.22 8.2 8.6L7.73 8.95C7.35 9.24 7.23 9.76 7.44 10.18C8.81 12.96 11.05 15.2 13.83 16.57',
            'phone call',
        ],
        'pickaxe' => [
            'M14 13L5.62 21.38C4.79 22.21 3.45 22.21 2.62 21.38C1.79 20.55 1.79 19.21 2.62 18.38L11 10M15.97 4.03C12.98 2.13 9.34 1.53 5.9 2.37C4.5 2.71 4.81 4.53 6.18 4.97C8.27 5.65 10.24 6.67 12 8M16 12C17.32 13.76 18.35 15.73 19.02 17.82C19.47 19.19 21.28 19.5 21.63 18.1C22.47 14.67 21.88 11.05 20 8.07M18.35 3.35C17.88 2.88 17.12 2.88 16.65 3.35L11.35 8.65C10.88 9.12 10.88 9.88 11.35 10.35L13.65 12.65C14.12 13.12 14.88 13.12 15.35 12.65L20.65 7.35C21.12 6.88 21.12 6.12 20.65 5.65Z',
            'pickaxe mining mine land worker extraction labor construction progress advancement crafting building creation',
        ],
        'piggy-bank' => [
            'M11 17H14V19C14 19.55 14.45 20 15 20H17C17.55 20 18 19.55 18 19V16C18.94 15.69 19.69 14.94 20 14H21C21.55 14 22 13.55 22 13V11C22 10.45 21.55 10 21 10H20C20 8.43 19.26 6.94 18 6V3C16.74 3 15.56 3.59 14.8 4.6L14.5 5H11C7.69 5 5 7.69 5 11V12C5 13.57 5.74 15.06 7 16V19C7 19.55 7.45 20 8 20H10C10.55 20 11 19.55 11 19ZM16 10H16.01M2 8V9C2 10.1 2.9 11 4 11H5',
            'piggy bank money savings',
        ],
        'pill' => [
            'M10.5 20.5L20.5 10.5C21.77 9.25 22.28 7.42 21.82 5.7C21.37 3.98 20.02 2.63 18.3 2.18C16.58 1.72 14.75 2.23 13.5 3.5L3.5 13.5C2.23 14.75 1.72 16.58 2.18 18.3C2.63 20.02 3.98 21.37 5.7 21.82C7.42 22.28 9.25 21.77 10.5 20.5ZM8.5 8.5L15.5 15.5',
            'pill medicine medication drug prescription tablet pharmacy',
        ],
        'pin' => [
            'M12 17V22M9 10.76C9 11.52 8.57 12.21 7.89 12.55L6.11 13.45C5.43 13.79 5 14.48 5 15.24V16C5 16.55 5.45 17 6 17H18C18.55 17 19 16.55 19 16V15.24C19 14.48 18.57 13.79 17.89 13.45L16.11 12.55C15.43 12.21 15 11.52 15 10.76V7C15 6.45 15.45 6 16 6C17.1 6 18 5.1 18 4C18 2.9 17.1 2 16 2H8C6.9 2 6 2.9 6 4C6 5.1 6.9 6 8 6C8.55 6 9 6.45 9 7Z',
            'pin save map lock fix',
        ],
        'plane' => [
            'M17.8 19.2L16 11L19.5 7.5C21 6 21.5 4 21 3C20 2.5 18 3 16.5 4.5L13 8L4.8 6.2C4.3 6.1 3.9 6.3 3.7 6.7L3.4 7.2C3.2 7.7 3.3 8.2 3.7 8.5L9 12L7 15H4L3 16L6 18L8 21L9 20V17L12 15L15.5 20.3C15.8 20.7 16.3 20.8 16.8 20.6L17.3 20.4C17.7 20.1 17.9 19.7 17.8 19.2Z',
            'plane trip airplane',
        ],
        'plug' => [
            'M12 22V17M15 8V2M17 8C17.55 8 18 8.45 18 9V13C18 15.21 16.21 17 14 17H10C7.79 17 6 15.21 6 13V9C6 8.45 6.45 8 7 8ZM9 8V2',
            'plug electricity energy electronics socket outlet power voltage current charger',
        ],
        'puzzle' => [
            'M15.39 4.39C15.65 4.65 16.02 4.74 16.37 4.65C16.72 4.55 16.99 4.27 17.07 3.92C17.36 2.72 18.47 1.91 19.7 2.01C20.92 2.1 21.9 3.08 21.99 4.3C22.09 5.53 21.28 6.64 20.08 6.93C19.73 7.02 19.45 7.28 19.35 7.63C19.26 7.98 19.35 8.36 19.61 8.61L21.29 10.29C21.75 10.75 22 11.36 22 12C22 12.64 21.75 13.25 21.29 13.71L19.61 15.39C19.35 15.65 18.98 15.74 18.63 15.65C18.28 15.55 18.01 15.27 17.93 14.92C17.64 13.72 16.53 12.91 15.3 13.01C14.08 13.1 13.1 14.08 13.01 15.3C12.91 16.53 13.72 17.64 14.92 17.93C15.27 18.02 15.55 18.28 15.65 18.63C15.74 18.98 15.65 19.36 15.39 19.61L13.71 21.29C13.25 21.75 12.64 22 12 22C11.36 22 10.75 21.75 10.29 21.29L8.61 19.61C8.35 19.35 7.98 19.26 7.63 19.35C7.28 19.45 7.01 19.73 6.93 20.08C6.64 21.28 5.53 22.09 4.3 21.99C3.08 21.9 2.1 20.92 2.01 19.7C1.91 18.47 2.72 17.36 3.92 17.07C4.27 16.98 4.55 16.72 4.65 16.37C4.74 16.02 4.65 15.64 4.39 15.39L2.71 13.71C2.25 13.25 2 12.64 2 12C2 11.36 2.25 10.75 2.71 10.29L4.39 8.61C4.65 8.35 5.02 8.26 5.37 8.35C5.72 8.45 5.99 8.73 6.07 9.08C6.36 10.28 7.47 11.09 8.7 10.99C9.92 10.9 10.9 9.92 10.99 8.7C11.09 7.47 10.28 6.36 9.08 6.07C8.73 5.98 8.45 5.72 8.35 5.37C8.26 5.02 8.35 4.64 8.61 4.39L10.29 2.71C10.75 2.25 11.36 2 12 2C12.64 2 13.25 2.25 13.71 2.71Z',
            'puzzle component module part piece',
        ],
        'quote' => [
            'M16 3C14.9 3 14 3.9 14 5V11C14 12.1 14.9 13 16 13C16.55 13 17 13.45 17 14V15C17 16.1 16.1 17 15 17C14.45 17 14 17.45 14 18V20C14 20.55 14.45 21 15 21C18.31 21 21 18.31 21 15V5C21 3.9 20.1 3 19 3ZM5 3C3.9 3 3 3.9 3 5V11C3 12.1 3.9 13 5 13C5.55 13 6 13.45 6 14V15C6 16.1 5.1 17 4 17C3.45 17 3 17.45 3 18V20C3 20.55 3.45 21 4 21C7.31 21 10 18.31 10 15V5C10 3.9 9.1 3 8 3Z',
            'quote quotation',
        ],
        'rabbit' => [
            'M13 16C14.18 16 15.26 16.69 15.74 17.77C16.23 18.85 16.03 20.12 15.24 21M18 12H18.01M18 21H10C7.79 21 6 19.21 6 17C6 13.13 9.13 10 13 10H13.2L9.6 6.4C8.83 5.63 8.83 4.37 9.6 3.6C10.37 2.83 11.63 2.83 12.4 3.6L15.8 7H16C19.3 7 22 9.7 22 13V14C22 15.1 21.1 16 20 16H19C17.34 16 16 17.34 16 19M20 8.54V4C20 2.9 19.1 2 18 2C16.9 2 16 2.9 16 4V7M7.61 12.52C6.83 11.14 5.1 10.61 3.67 11.31C2.25 12.01 1.62 13.71 2.24 15.17C2.86 16.63 4.51 17.36 6.01 16.82',
            'rabbit animal rodent pet pest bunny hare fast speed hop',
        ],
        'radio' => [
            'M16.25 7.76C18.59 10.1 18.59 13.9 16.25 16.24M19.07 4.93C22.97 8.84 22.97 15.16 19.07 19.07M4.92 19.07C1.03 15.16 1.03 8.84 4.92 4.93M7.75 16.24C5.41 13.9 5.41 10.1 7.75 7.76M10 12C10 13.1 10.9 14 12 14C13.1 14 14 13.1 14 12C14 10.9 13.1 10 12 10C10.9 10 10 10.9 10 12Z',
            'radio signal broadcast connectivity live frequency',
        ],
        'rainbow' => [
            'M22 17C22 11.48 17.52 7 12 7C6.48 7 2 11.48 2 17M6 17C6 13.69 8.69 11 12 11C15.31 11 18 13.69 18 17M10 17C10 15.9 10.9 15 12 15C13.1 15 14 15.9 14 17',
            'rainbow colors colours spectrum light prism arc clear sunshine',
        ],
        'receipt' => [
            'M12 17V7M16 8H10C8.9 8 8 8.9 8 10C8 11.1 8.9 12 10 12H14C15.1 12 16 12.9 16 14C16 15.1 15.1 16 14 16H8M4 3C4 2.45 4.45 2 5 2C5.25 2 5.49 2.07 5.7 2.2L6.63 2.8C7.06 3.07 7.61 3.07 8.03 2.8L8.97 2.2C9.39 1.93 9.94 1.93 10.37 2.2L11.3 2.8C11.73 3.07 12.27 3.07 12.7 2.8L13.63 2.2C14.06 1.93 14.61 1.93 15.03 2.2L15.97 2.8C16.39 3.07 16.94 3.07 17.37 2.8L18.3 2.2C18.51 2.07 18.75 2 19 2C19.55 2 20 2.45 20 3V21C20 21.55 19.55 22 19 22C18.75 22 18.51 21.93 18.3 21.8L17.37 21.2C16.94 20.93 16.39 20.93 15.97 21.2L15.03 21.8C14.61 22.07 14.06 22.07 13.63 21.8L12.7 21.2C12.27 20.93 11.73 20.93 11.3 21.2L10.37 21.8C9.94 22.07 9.39 22.07 8.97 21.8L8.03 21.2C7.61 20.93 7.06 20.93 6.63 21.2L5.7 21.8C5.49 21.93 5.25 22 5 22C4.45 22 4 21.55 4 21Z',
            'receipt bill voucher slip check counterfoil currency dollar usd',
        ],
        'recycle' => [
            'M7 19H4.82C4.17 19 3.58 18.67 3.25 18.12C2.93 17.57 2.92 16.89 3.24 16.34L7.2 9.5M11 19H19.2C19.84 19 20.43 18.66 20.76 18.11C21.07 17.56 21.07 16.88 20.76 16.34L19.53 14.21M14 16L11 19L14 22M8.29 13.6L7.2 9.5L3.1 10.6M9.34 5.81L10.44 3.92C10.76 3.36 11.34 3.01 11.98 3C12.62 3 13.21 3.34 13.53 3.89L17.47 10.73M13.38 9.63L17.47 10.73L18.57 6.63',
            'recycle sustainability salvage arrows',
        ],
        'refresh-cw' => [
            'M3 12C3 7.03 7.03 3 12 3C14.52 3.01 16.93 3.99 18.74 5.74L21 8M21 3V8H16M21 12C21 16.97 16.97 21 12 21C9.48 20.99 7.07 20.01 5.26 18.26L3 16M8 16H3V21',
            'refresh cw rotate reload rerun synchronise synchronize arrows circular cycle',
        ],
        'repeat' => [
            'M17 2L21 6L17 10M3 11V10C3 7.79 4.79 6 7 6H21M7 22L3 18L7 14M21 13V14C21 16.21 19.21 18 17 18H3',
            'repeat loop arrows',
        ],
        'road' => [
            'M12 17V21M12 5V3M12 9V12M2.08 18.45C1.9 19.05 2.02 19.7 2.4 20.2C2.78 20.71 3.37 21 4 21H20C20.63 21 21.22 20.71 21.6 20.2C21.98 19.7 22.1 19.05 21.92 18.45L17.92 4.45C17.68 3.59 16.89 3 16 3H8C7.11 3 6.32 3.59 6.08 4.45Z',
            'road street highway route path transport traffic drive map',
        ],
        'rocket' => [
            'M12 15V20C12 20 15.03 19.45 16 18C17.08 16.38 16 13 16 13M4.5 16.5C3 17.76 2.5 21.5 2.5 21.5C2.5 21.5 6.24 21 7.5 19.5C8.21 18.66 8.2 17.37 7.41 16.59C6.61 15.82 5.35 15.78 4.5 16.5M9 12C9.53 10.62 10.2 9.3 11 8.05C13.37 4.26 17.53 1.97 22 2C22 4.72 21.22 9.5 16 13C14.74 13.8 13.4 14.47 12 15ZM9 12H4C4 12 4.55 8.97 6 8C7.62 6.92 11 8.05 11 8.05',
            'rocket release boost launch space version',
        ],
        'rose' => [
            'M17 10H16C13.79 10 12 8.21 12 6C12 3.79 13.79 2 16 2C18.21 2 20 3.79 20 6V6.53M17 6H18C19.93 6 21.59 7.38 21.94 9.28C22.28 11.18 21.23 13.06 19.42 13.74L17.13 14.61C14.25 15.71 11.01 14.44 9.63 11.69C8.25 8.93 9.19 5.58 11.79 3.93L13.86 2.62M4.5 17C7.3 16.5 8.9 17 10 17.8C11.1 18.6 11.8 20 12.3 21.5C10.3 21.9 8.8 21.9 7.5 21.2C6.3 20.6 5.2 19.3 4.5 17M9.77 12C4 15 2 22 2 22M15 8C15 9.1 15.9 10 17 10C18.1 10 19 9.1 19 8C19 6.9 18.1 6 17 6C15.9 6 15 6.9 15 8Z',
            'rose roses thorns petals plant stem leaves spring bloom blossom gardening botanical flora florist bouquet bunch gift date romance romantic valentines day special occasion',
        ],
        'ruler' => [
            'M21.3 15.3C21.75 15.75 22.01 16.36 22.01 17C22.01 17.64 21.75 18.25 21.3 18.7L18.7 21.3C18.25 21.75 17.64 22.01 17 22.01C16.36 22.01 15.75 21.75 15.3 21.3L2.7 8.7C1.76 7.76 1.76 6.24 2.7 5.3L5.3 2.7C6.24 1.76 7.76 1.76 8.7 2.7ZM14.5 12.5L16.5 10.5M11.5 9.5L13.5 7.5M8.5 6.5L10.5 4.5M17.5 15.5L19.5 13.5',
            'ruler measurements centimeters cm millimeters mm metre foot feet inches units size length width height dimensions depth breadth extent stationery',
        ],
        'sailboat' => [
            'M10 2V17M7 22C4.79 22 3 20.21 3 18C3 17.45 3.45 17 4 17H20C20.55 17 21 17.45 21 18C21 20.21 19.21 22 17 22ZM9.16 2.46C9.32 2.21 9.58 2.05 9.87 2.01C10.17 1.97 10.46 2.07 10.68 2.27L20.66 11.25C20.97 11.52 21.08 11.96 20.94 12.35C20.79 12.74 20.42 13 20 13H4C3.63 13 3.29 12.79 3.11 12.47C2.94 12.14 2.97 11.74 3.18 11.43Z',
            'sailboat ship boat harbor harbour dock',
        ],
        'satellite' => [
            'M13.5 6.5L10.35 3.35C9.88 2.88 9.12 2.88 8.65 3.35L6.35 5.65C5.88 6.12 5.88 6.88 6.35 7.35L9.5 10.5M16.5 7.5L19 5M17.5 10.5L20.65 13.65C21.12 14.12 21.12 14.88 20.65 15.35L18.35 17.65C17.88 18.12 17.12 18.12 16.65 17.65L13.5 14.5M9 21C9 17.69 6.31 15 3 15M9.35 10.65C8.88 11.12 8.88 11.88 9.35 12.35L11.65 14.65C12.12 15.12 12.88 15.12 13.35 14.65L17.65 10.35C18.12 9.88 18.12 9.12 17.65 8.65L15.35 6.35C14.88 5.88 14.12 5.88 13.65 6.35Z',
            'satellite space station orbit transmitter',
        ],
        'scale' => [
            'M12 3V21M19 8L22 16C20.22 17.33 17.78 17.33 16 16ZV7M3 7H4C6.79 7 9.54 6.31 12 5C14.46 6.31 17.21 7 20 7H21M5 8L8 16C6.22 17.33 3.78 17.33 2 16ZV7M7 21H17',
            'scale balance legal license right rule law justice weight measure compare judge fair ethics decision',
        ],
        'scale-3d' => [
            'M5 7V18C5 18.55 5.45 19 6 19H17M5.29 18.71L11 13M17 19C17 20.1 17.9 21 19 21C20.1 21 21 20.1 21 19C21 17.9 20.1 17 19 17C17.9 17 17 17.9 17 19ZM3 5C3 6.1 3.9 7 5 7C6.1 7 7 6.1 7 5C7 3.9 6.1 3 5 3C3.9 3 3 3.9 3 5Z',
            'scale gizmo transform size axis',
        ],
        'school' => [
            'M14 21V18C14 16.9 13.1 16 12 16C10.9 16 10 16.9 10 18V21M18 4.93V21M4 6L11.11 2.21C11.67 1.93 12.33 1.93 12.89 2.21L20 6M6 11L2.48 13.15C2.18 13.33 2 13.65 2 14V19C2 20.1 2.9 21 4 21H20C21.1 21 22 20.1 22 19V14C22 13.65 21.82 13.33 21.52 13.15L18 11M6 4.93V21M10 9C10 10.1 10.9 11 12 11C13.1 11 14 10.1 14 9C14 7.9 13.1 7 12 7C10.9 7 10 7.9 10 9Z',
            'school building education childhood university learning campus scholar student lecture degree course academia study knowledge classroom research diploma graduation professor tutorial homework assignment exam',
        ],
        'scissors' => [
            'M3 6C3 7.66 4.34 9 6 9C7.66 9 9 7.66 9 6C9 4.34 7.66 3 6 3C4.34 3 3 4.34 3 6ZM8.12 8.12L12 12M20 4L8.12 15.88M3 18C3 19.66 4.34 21 6 21C7.66 21 9 19.66 9 18C9 16.34 7.66 15 6 15C4.34 15 3 16.34 3 18ZM14.8 14.8L20 20',
            'scissors cut snip chop stationery crafts',
        ],
        'scroll' => [
            'M19 17V5C19 3.9 18.1 3 17 3H4M8 21H20C21.1 21 22 20.1 22 19V18C22 17.45 21.55 17 21 17H11C10.45 17 10 17.45 10 18V19C10 20.1 9.1 21 8 21C6.9 21 6 20.1 6 19V5C6 3.9 5.1 3 4 3C2.9 3 2 3.9 2 5V7C2 7.55 2.45 8 3 8H6',
            'scroll paper log scripture document notes parchment list long script story code coding',
        ],
        'search' => [
            'M21 21L16.66 16.66M3 11C3 15.42 6.58 19 11 19C15.42 19 19 15.42 19 11C19 6.58 15.42 3 11 3C6.58 3 3 6.58 3 11Z',
            'search find scan magnifier magnifying glass lens locate explore discover enlarge zoom',
        ],
        'shell' => [
            'M14 11C14 12.1 13.1 13 12 13C10.9 13 10 12.1 10 11C10 8.79 11.79 7 14 7C16.21 7 18 8.79 18 11C18 14.31 15.31 17 12 17C8.69 17 6 14.31 6 11C6 6.58 9.58 3 14 3C18.42 3 22 6.58 22 11C22 16.52 17.52 21 12 21C6.48 21 2 16.52 2 11C2 8.39 2.85 5.86 4.42 3.78C4.84 3.16 5.56 2.83 6.3 2.92C7.04 3 7.67 3.49 7.94 4.18C8.21 4.87 8.07 5.66 7.58 6.22',
            'shell beach sand holiday sea life fossil ammonite biology ocean terminal command line session bash zsh roll wrap chewing gum bubble sweet sugar hosepipe carpet string spiral spinner hypnotise hypnosis',
        ],
        'shield' => [
            'M20 13C20 18 16.5 20.5 12.34 21.95C12.12 22.02 11.89 22.02 11.67 21.94C7.5 20.5 4 18 4 13V6C4 5.45 4.45 5 5 5C7 5 9.5 3.8 11.24 2.28C11.68 1.91 12.32 1.91 12.76 2.28C14.51 3.81 17 5 19 5C19.55 5 20 5.45 20 6Z',
            'shield cybersecurity secure safety protection guardian armored armoured defense defence defender block threat prevention antivirus vigilance vigilant detection scan find strength strong tough invincible invincibility invulnerable undamaged audit admin verification crest bravery knight foot soldier infantry trooper pawn battle war military army cadet scout',
        ],
        'shield-alert' => [
            'M20 13C20 18 16.5 20.5 12.34 21.95C12.12 22.02 11.89 22.02 11.67 21.94C7.5 20.5 4 18 4 13V6C4 5.45 4.45 5 5 5C7 5 9.5 3.8 11.24 2.28C11.68 1.91 12.32 1.91 12.76 2.28C14.51 3.81 17 5 19 5C19.55 5 20 5.45 20 6ZM12 8V12M12 16H12.01',
            'shield alert unshielded cybersecurity insecure unsecured safety unsafe protection unprotected guardian unguarded unarmored unarmoured defenseless defenceless undefended defender blocked stopped intercepted interception saved thwarted threat prevention unprevented antivirus vigilance vigilant detection detected scanned found exploit vulnerability vulnerable weakness infection infected compromised data leak audited admin verification unverified uncertified warning emergency attention urgent alarm crest bravery strength tough attacked damaged injured hit expired disabled inactive error exclamation mark',
        ],
        'ship' => [
            'M12 2V4M12 9.19V13M19 12V6C19 4.9 18.1 4 17 4H7C5.9 4 5 4.9 5 6V12M19.38 19C20.46 17.18 21.02 15.11 21 13L12.81 9.36C12.3 9.13 11.7 9.13 11.19 9.36L3 13C2.95 15.84 3.95 18.61 5.81 20.76M2 20C2.6 20.5 3.2 21 4.5 21C7 21 7 19 9.5 19C10.8 19 11.4 19.5 12 20C12.6 20.5 13.2 21 14.5 21C17 21 17 19 19.5 19C20.8 19 21.4 19.5 22 20',
            'ship boat knots nautical mile maritime sailing yacht cruise ocean liner tanker vessel navy trip releases',
        ],
        'shopping-cart' => [
            'M2.05 2.05L3.15 2.02C3.64 2.01 4.07 2.35 4.16 2.84L6.85 17.18C6.94 17.66 7.35 18 7.83 18H18M4.56 5H21C21.3 5 21.58 5.13 21.78 5.37C21.97 5.6 22.04 5.91 21.98 6.2L20.95 12.43C20.75 13.36 19.91 14.02 18.96 14H6.25M16 20C16 21.1 16.9 22 18 22C19.1 22 20 21.1 20 20C20 18.9 19.1 18 18 18C16.9 18 16 18.9 16 20ZM6 20C6 21.1 6.9 22 8 22C9.1 22 10 21.1 10 20C10 18.9 9.1 18 8 18C6.9 18 6 18.9 6 20Z',
            'shopping cart trolley basket commerce store purchase products items ingredients',
        ],
        'shovel' => [
            'M21.56 4.56C21.84 4.84 22 5.22 22 5.62C22 6.02 21.84 6.4 21.56 6.68L21.09 7.15C19.91 8.3 18.04 8.28 16.88 7.12C16.32 6.56 16 5.8 16 5C16 4.2 16.32 3.44 16.88 2.88L17.32 2.44C17.9 1.85 18.85 1.85 19.44 2.44ZM3 22C2.45 22 2 21.55 2 21V17.41C2 17.15 2.11 16.89 2.29 16.71L5.65 13.35C6.12 12.88 6.88 12.88 7.35 13.35L10.65 16.65C11.12 17.12 11.12 17.88 10.65 18.35L7.29 21.71C7.11 21.89 6.85 22 6.59 22ZM9 15L16.88 7.12',
            'shovel dig spade treasure',
        ],
        'shrub' => [
            'M12 22V16.83C12 16.3 11.79 15.79 11.41 15.41L9.5 13.5M14.5 14.5L12 17M17 8.8C19.39 10.17 20.54 13 19.78 15.65C19.02 18.3 16.56 20.1 13.8 20H10C7.19 19.81 4.82 17.83 4.13 15.09C3.45 12.36 4.61 9.49 7 8C7 5.24 9.24 3 12 3C14.76 3 17 5.24 17 8Z',
            'shrub forest undergrowth park nature',
        ],
        'sigma' => [
            'M18 7V5C18 4.45 17.55 4 17 4H6.5C6.31 4 6.14 4.11 6.05 4.28C5.97 4.45 5.99 4.65 6.1 4.8L10.6 10.8C11.13 11.51 11.13 12.49 10.6 13.2L6.1 19.2C5.99 19.35 5.97 19.55 6.05 19.72C6.14 19.89 6.31 20 6.5 20H17C17.55 20 18 19.55 18 19V17',
            'sigma sum calculate formula math enumeration enumerate',
        ],
        'signature' => [
            'M21 17L18.84 15.13C18.7 14.99 18.48 14.96 18.3 15.04C18.12 15.12 18 15.3 18 15.5V16C18 16.55 17.55 17 17 17H15C14.45 17 14 16.55 14 16C14 13.46 10.01 12.03 5.5 12C4.12 12 3 13.12 3 14.5C3 15.88 4.12 17 5.5 17C9.65 17 10.24 5.71 11.21 3.5C11.66 2.48 12.73 1.87 13.83 2.02C14.94 2.17 15.81 3.04 15.97 4.15C16.13 5.25 15.54 6.33 14.52 6.78M3 21H21',
            'signature text format input contract autograph handwriting sign cursive ink scribble authorize personal agreement legal document identity authentic approval verification unique',
        ],
        'signpost' => [
            'M12 13V21M12 3V6M2.35 10.35C2.13 10.13 2 9.82 2 9.5C2 9.18 2.13 8.87 2.35 8.65L4.41 6.59C4.79 6.21 5.3 6 5.83 6H18.17C18.7 6 19.21 6.21 19.59 6.59L21.65 8.65C21.87 8.87 22 9.18 22 9.5C22 9.82 21.87 10.13 21.65 10.35L19.59 12.41C19.21 12.79 18.7 13 18.17 13H5.83C5.3 13 4.79 12.79 4.41 12.41Z',
            'signpost navigation direction arrow wayfinding guide location pointer route indicator marker bidirectional left right east west',
        ],
        'siren' => [
            'M7 18V12C7 9.24 9.24 7 12 7C14.76 7 17 9.24 17 12V18M5 21C5 21.55 5.45 22 6 22H18C18.55 22 19 21.55 19 21V20C19 18.9 18.1 18 17 18H7C5.9 18 5 18.9 5 20ZM21 12H22M18.5 4.5L18 5M2 12H3M12 2V3M4.93 4.93L5.64 5.64M12 12V18',
            'siren police ambulance emergency security alert alarm light',
        ],
        'skull' => [
            'M12.5 17L12 16L11.5 17H12.5ZM15 22C15.55 22 16 21.55 16 21V20C16.77 20 17.47 19.56 17.8 18.87C18.13 18.17 18.04 17.35 17.56 16.75C19.9 14.48 20.64 11.02 19.42 8C18.19 4.98 15.26 3 12 3C8.74 3 5.81 4.98 4.58 8C3.36 11.02 4.1 14.48 6.44 16.75C5.96 17.35 5.87 18.17 6.2 18.87C6.53 19.56 7.23 20 8 20V21C8 21.55 8.45 22 9 22ZM14 12C14 12.55 14.45 13 15 13C15.55 13 16 12.55 16 12C16 11.45 15.55 11 15 11C14.45 11 14 11.45 14 12ZM8 12C8 12.55 8.45 13 9 13C9.55 13 10 12.55 10 12C10 11.45 9.55 11 9 11C8.45 11 8 11.45 8 12Z',
            'skull death danger bone',
        ],
        'smartphone' => [
            'M7 2H17C18.1 2 19 2.9 19 4V20C19 21.1 18.1 22 17 22H7C5.9 22 5 21.1 5 20V4C5 2.9 5.9 2 7 2ZM12 18H12.01',
            'smartphone phone cellphone device mobile screen display touchscreen portable responsive',
        ],
        'snail' => [
            'M2 13C2 16.31 4.69 19 8 19C11.31 19 14 16.31 14 13C14 10.79 12.21 9 10 9C7.79 9 6 10.79 6 13C6 14.1 6.9 15 8 15C9.1 15 10 14.1 10 13M2 13C2 17.42 5.58 21 10 21C14.42 21 18 17.42 18 13C18 8.58 14.42 5 10 5C5.58 5 2 8.58 2 13ZM2 21H14C18.4 21 22 17.4 22 13V7C22 5.9 21.1 5 20 5C18.9 5 18 5.9 18 7V13M18 3L19.1 5.2M22 3L20.9 5.2',
            'snail animal insect slow speed delicacy spiral',
        ],
        'snowflake' => [
            'M10 20L8.75 17.5L6 18M10 4L8.75 6.5L6 6M14 20L15.25 17.5L18 18M14 4L15.25 6.5L18 6M17 21L14 15H10M17 3L14 9L15.5 12M2 12H8.5L10 9M20 10L18.5 12L20 14M22 12H15.5L14 15M4 10L5.5 12L4 14M7 21L10 15L8.5 12M7 3L10 9H14',
            'snowflake cold weather freeze snow winter',
        ],
        'sofa' => [
            'M20 9V6C20 4.9 19.1 4 18 4H6C4.9 4 4 4.9 4 6V9M2 16C2 17.1 2.9 18 4 18H20C21.1 18 22 17.1 22 16V11C22 9.9 21.1 9 20 9C18.9 9 18 9.9 18 11V12.5C18 12.78 17.78 13 17.5 13H6.5C6.22 13 6 12.78 6 12.5V11C6 9.9 5.1 9 4 9C2.9 9 2 9.9 2 11ZM4 18V20M20 18V20M12 4V13',
            'sofa armchair furniture leisure lounge loveseat couch',
        ],
        'sparkles' => [
            'M11.02 2.81C11.11 2.34 11.52 2 12 2C12.48 2 12.89 2.34 12.98 2.81L14.03 8.37C14.19 9.18 14.82 9.81 15.63 9.97L21.19 11.02C21.66 11.11 22 11.52 22 12C22 12.48 21.66 12.89 21.19 12.98L15.63 14.03C14.82 14.19 14.19 14.82 14.03 15.63L12.98 21.19C12.89 21.66 12.48 22 12 22C11.52 22 11.11 21.66 11.02 21.19L9.97 15.63C9.81 14.82 9.18 14.19 8.37 14.03L2.81 12.98C2.34 12.89 2 12.48 2 12C2 11.52 2.34 11.11 2.81 11.02L8.37 9.97C9.18 9.81 9.81 9.18 9.97 8.37ZM20 2V6M22 4H18M2 20C2 21.1 2.9 22 4 22C5.1 22 6 21.1 6 20C6 18.9 5.1 18 4 18C2.9 18 2 18.9 2 20Z',
            'sparkles stars effect filter night magic',
        ],
        'speech' => [
            'M8.8 20V15.9L10.7 16.1C11.84 16.04 12.77 15.14 12.86 14V8.3C12.88 5.3 10.46 2.86 7.46 2.84C4.46 2.83 2.01 5.25 2 8.25C2 11.05 2.66 11.3 3 12.8C3.23 13.7 3.24 14.65 3.03 15.56L2 20M19.8 17.8C22.73 14.87 22.73 10.13 19.8 7.2M17 15C17.66 14.34 18.03 13.44 18.03 12.51C18.02 11.57 17.64 10.68 16.98 10.02',
            'speech disability disabled dda human accessibility people sound',
        ],
        'split' => [
            'M16 3H21V8M8 3H3V8M12 22V13.7C12.01 12.62 11.59 11.59 10.83 10.83L3 3M15 9L21 3',
            'split break disband divide separate branch disunite',
        ],
        'sprout' => [
            'M14 9.54V7C14 4.79 15.79 3 18 3H19.5C19.78 3 20 3.22 20 3.5V5C20 7.21 18.21 9 16 9C13.79 9 12 10.79 12 13C12 15 13 16 13 18C13 19.08 12.65 20.13 12 21M4 9C5.52 7.86 7.54 7.68 9.24 8.53C10.93 9.37 12 11.11 12 13C10.48 14.14 8.46 14.32 6.76 13.47C5.07 12.63 4 10.89 4 9M5 21H19',
            'sprout eco green growth leaf nature plant seed spring sustainability',
        ],
        'square' => [
            'M5 3H19C20.1 3 21 3.9 21 5V19C21 20.1 20.1 21 19 21H5C3.9 21 3 20.1 3 19V5C3 3.9 3.9 3 5 3Z',
            'square stop playback music audio video rectangle aspect ratio shape',
        ],
        'squirrel' => [
            'M15.24 22C16.02 21.12 16.22 19.87 15.75 18.79C15.27 17.71 14.21 17.01 13.04 17M16 20C16 18.34 17.34 17 19 17H20C21.1 17 22 16.1 22 15V13C22 10.79 20.21 9 18 9V4M18 13H18.01M18 6C15.79 6 14 7.79 14 10C10.13 10 7 13.13 7 17C7 12 11 12 11 6.5C11 4.01 8.99 2 6.5 2C4.01 2 2 4.01 2 6.5C2 7.88 3.12 9 4.5 9C5.88 9 7 7.88 7 6.5C7 10 3 11 3 17C3 19.8 5.2 22 8 22H18',
            'squirrel animal rodent pet pest nuts retrieve updates storage stash',
        ],
        'stamp' => [
            'M14 13V8.5C14 7 15 7 15 5C15 3.34 13.66 2 12 2C10.34 2 9 3.34 9 5C9 7 10 7 10 8.5V13M20 15.5C20 14.12 18.88 13 17.5 13H6.5C5.12 13 4 14.12 4 15.5V17C4 17.55 4.45 18 5 18H19C19.55 18 20 17.55 20 17ZM5 22H19',
            'stamp mark print clone loyalty library',
        ],
        'star' => [
            'M11.53 2.29C11.61 2.11 11.8 2 12 2C12.2 2 12.39 2.11 12.47 2.29L14.79 6.97C15.09 7.6 15.69 8.03 16.38 8.13L21.55 8.89C21.75 8.92 21.91 9.06 21.97 9.25C22.04 9.44 21.98 9.65 21.84 9.79L18.1 13.43C17.6 13.92 17.38 14.62 17.49 15.31L18.37 20.45C18.41 20.65 18.33 20.85 18.16 20.97C18 21.09 17.78 21.11 17.6 21.01L12.99 18.58C12.37 18.26 11.63 18.26 11.01 18.58L6.4 21.01C6.22 21.1 6 21.09 5.84 20.97C5.67 20.85 5.59 20.65 5.63 20.45L6.51 15.31C6.63 14.62 6.4 13.92 5.9 13.43L2.16 9.79C2.01 9.65 1.96 9.44 2.02 9.25C2.09 9.06 2.25 8.92 2.45 8.89L7.62 8.13C8.31 8.03 8.91 7.6 9.22 6.97Z',
            'star bookmark favorite like review rating',
        ],
        'stethoscope' => [
            'M11 2V4M5 2V4M5 3H4C2.9 3 2 3.9 2 5V9C2 12.31 4.69 15 8 15C11.31 15 14 12.31 14 9V5C14 3.9 13.1 3 12 3H11M8 15C8 18.31 10.69 21 14 21C17.31 21 20 18.31 20 15V12M18 10C18 11.1 18.9 12 20 12C21.1 12 22 11.1 22 10C22 8.9 21.1 8 20 8C18.9 8 18 8.9 18 10Z',
            'stethoscope phonendoscope medical heart lungs sound',
        ],
        'store' => [
            'M15 21V16C15 15.45 14.55 15 14 15H10C9.45 15 9 15.45 9 16V21M17.77 10.31C17.34 9.9 16.66 9.9 16.23 10.31C15.26 11.23 13.74 11.23 12.77 10.31C12.34 9.9 11.66 9.9 11.23 10.31C10.26 11.23 8.74 11.23 7.77 10.31C7.34 9.9 6.66 9.9 6.23 10.31C5.29 11.2 3.84 11.23 2.87 10.4C1.89 9.56 1.71 8.11 2.46 7.06L5.34 2.88C5.72 2.33 6.34 2 7 2H17C17.66 2 18.28 2.33 18.65 2.87L21.55 7.07C22.29 8.12 22.11 9.56 21.13 10.4C20.16 11.24 18.7 11.2 17.77 10.31M4 10.95V19C4 20.1 4.9 21 6 21H18C19.1 21 20 20.1 20 19V10.95',
            'store shop supermarket stand boutique building',
        ],
        'sun' => [
            'M8 12C8 14.21 9.79 16 12 16C14.21 16 16 14.21 16 12C16 9.79 14.21 8 12 8C9.79 8 8 9.79 8 12ZM12 2V4M12 20V22M4.93 4.93L6.34 6.34M17.66 17.66L19.07 19.07M2 12H4M20 12H22M6.34 17.66L4.93 19.07M19.07 4.93L17.66 6.34',
            'sun brightness weather light summer',
        ],
        'sunrise' => [
            'M12 2V10M4.93 10.93L6.34 12.34M2 18H4M20 18H22M19.07 10.93L17.66 12.34M22 22H2M8 6L12 2L16 6M16 18C16 15.79 14.21 14 12 14C9.79 14 8 15.79 8 18',
            'sunrise weather time morning day',
        ],
        'swords' => [
            'M13 19L19 13M14.5 17.5L3.59 6.59C3.21 6.21 3 5.7 3 5.17V3H5.17C5.7 3 6.21 3.21 6.59 3.59L17.5 14.5M14.83 6.17L17.41 3.59C17.79 3.21 18.3 3 18.83 3H21V5.17C21 5.7 20.79 6.21 20.41 6.59L17.83 9.17M16 16L20 20M19 21L21 19M5 14L9 18M5 21L3 19M7.5 16.5L4 20',
            'swords battle challenge combat conflict crossed duel faction fantasy game melee medieval opponent rivalry rpg versus weapon war warrior',
        ],
        'syringe' => [
            'M18 2L22 6M17 7L20 4M19 9L8.7 19.3C7.7 20.3 6.2 20.3 5.3 19.3L4.7 18.7C3.7 17.7 3.7 16.2 4.7 15.3L15 5M9 11L13 15M5 19L2 22M14 4L20 10',
            'syringe medicine medical needle pump plunger nozzle blood',
        ],
        'table' => [
            'M12 3V21M5 3H19C20.1 3 21 3.9 21 5V19C21 20.1 20.1 21 19 21H5C3.9 21 3 20.1 3 19V5C3 3.9 3.9 3 5 3ZM3 9H21M3 15H21',
            'table spreadsheet grid',
        ],
        'target' => [
            'M2 12C2 17.52 6.48 22 12 22C17.52 22 22 17.52 22 12C22 6.48 17.52 2 12 2C6.48 2 2 6.48 2 12ZM6 12C6 15.31 8.69 18 12 18C15.31 18 18 15.31 18 12C18 8.69 15.31 6 12 6C8.69 6 6 8.69 6 12ZM10 12C10 13.1 10.9 14 12 14C13.1 14 14 13.1 14 12C14 10.9 13.1 10 12 10C10.9 10 10 10.9 10 12Z',
            'target logo bullseye deadline projects overview work productivity',
        ],
        'telescope' => [
            'M10.06 12.49L3.88 13.81C3.39 13.92 2.89 13.61 2.78 13.11L2.24 10.96C2.11 10.42 2.41 9.87 2.93 9.69L16.43 5.25M13.56 11.75L17.89 10.82M16 21L12.89 14.79M16.48 5.94C16.22 4.87 16.87 3.78 17.94 3.52L19.03 3.24C19.57 3.11 20.11 3.43 20.24 3.97L21.76 10.03C21.89 10.57 21.57 11.11 21.03 11.24L19.94 11.51C18.87 11.78 17.78 11.13 17.51 10.06ZM6.16 8.63L7.27 13.09M8 21L11.11 14.79M10 13C10 14.1 10.9 15 12 15C13.1 15 14 14.1 14 13C14 11.9 13.1 11 12 11C10.9 11 10 11.9 10 13Z',
            'telescope astronomy space discovery exploration explore vision perspective focus stargazing observe view',
        ],
        'tent' => [
            'M3.5 21L14 3M20.5 21L10 3M15.5 21L12 15L8.5 21M2 21H22',
            'tent tipi teepee wigwam lodge camping campsite holiday retreat nomadic native american indian wilderness outdoors',
        ],
        'test-tube' => [
            'M14.5 2V19.5C14.5 20.9 13.4 22 12 22C10.6 22 9.5 20.9 9.5 19.5V2M8.5 2H15.5M14.5 16H9.5',
            'test tube vial phial flask ampoule ampule lab chemistry experiment',
        ],
        'theater' => [
            'M2 10C2 10 5 7 5 2M22 10C22 10 19 7 19 2M10 2C10 6.4 6.4 10 2 10M14 2C14 6.4 17.6 10 22 10M2 10C2 10 4 12 4 15M22 10C22 10 20 12 20 15M8 15H16M2 22V21C2 19.9 2.9 19 4 19H8C9.1 19 10 19.9 10 21V22M14 22V21C14 19.9 14.9 19 16 19H20C21.1 19 22 19.9 22 21V22',
            'theater theatre entertainment podium stage musical',
        ],
        'thermometer' => [
            'M14 4V14.54C15.57 15.45 16.33 17.29 15.86 19.04C15.4 20.79 13.81 22 12 22C10.19 22 8.6 20.79 8.14 19.04C7.67 17.29 8.43 15.45 10 14.54V4C10 2.9 10.9 2 12 2C13.1 2 14 2.9 14 4Z',
            'thermometer temperature celsius fahrenheit weather',
        ],
        'thumbs-down' => [
            'M9 18.12L10 14H4.17C3.54 14 2.95 13.7 2.57 13.2C2.19 12.7 2.07 12.04 2.25 11.44L4.58 3.44C4.83 2.59 5.61 2 6.5 2H20C21.1 2 22 2.9 22 4V12C22 13.1 21.1 14 20 14H17.24C16.48 14 15.79 14.43 15.45 15.11L12 22C11.04 21.99 10.15 21.54 9.56 20.78C8.98 20.03 8.77 19.05 9 18.12ZM17 14V2',
            'thumbs down dislike bad emotion',
        ],
        'thumbs-up' => [
            'M15 5.88L14 10H19.83C20.46 10 21.05 10.3 21.43 10.8C21.81 11.3 21.93 11.96 21.75 12.56L19.42 20.56C19.17 21.41 18.39 22 17.5 22H4C2.9 22 2 21.1 2 20V12C2 10.9 2.9 10 4 10H6.76C7.52 10 8.21 9.57 8.55 8.89L12 2C12.96 2.01 13.85 2.46 14.44 3.22C15.02 3.97 15.23 4.95 15 5.88ZM7 10V22',
            'thumbs up like good emotion',
        ],
        'timer' => [
            'M10 2L14 2M12 14L15 11M4 14C4 18.42 7.58 22 12 22C16.42 22 20 18.42 20 14C20 9.58 16.42 6 12 6C7.58 6 4 9.58 4 14Z',
            'timer time stopwatch',
        ],
        'tornado' => [
            'M21 4H3M18 8H6M19 12H9M16 16H10M11 20H9',
            'tornado weather wind storm hurricane',
        ],
        'train-front' => [
            'M8 3.1V7C8 9.21 9.79 11 12 11C14.21 11 16 9.21 16 7V3.1M9 15L8 14M15 15L16 14M9 19C6.2 19 4 16.8 4 14V10C4 5.58 7.58 2 12 2C16.42 2 20 5.58 20 10V14C20 16.8 17.8 19 15 19ZM8 19L6 22M16 19L18 22',
            'train front railway metro subway underground high speed bullet fast track line',
        ],
        'trash' => [
            'M10 11V17M14 11V17M19 6V20C19 21.1 18.1 22 17 22H7C5.9 22 5 21.1 5 20V6M3 6H21M8 6V4C8 2.9 8.9 2 10 2H14C15.1 2 16 2.9 16 4V6',
            'trash empty deletion cleanup junk clear garbage delete remove bin waste recycle discard binoculars rubbish',
        ],
        'tree-deciduous' => [
            'M8 19C6.24 19 4.68 17.85 4.17 16.17C3.65 14.49 4.3 12.66 5.76 11.68C4.86 10.56 4.74 9 5.46 7.75C6.17 6.5 7.58 5.82 9 6.03V6C9 4.34 10.34 3 12 3C13.66 3 15 4.34 15 6V6.04C16.42 5.83 17.83 6.51 18.54 7.76C19.26 9.01 19.14 10.57 18.24 11.69C19.69 12.68 20.33 14.49 19.82 16.17C19.3 17.85 17.76 19 16 19ZM12 19V22',
            'tree deciduous forest park nature',
        ],
        'tree-pine' => [
            'M17 14L20 17.3C20.28 17.59 20.36 18.01 20.21 18.38C20.06 18.75 19.7 18.99 19.3 19H4.7C4.3 18.99 3.94 18.75 3.79 18.38C3.64 18.01 3.72 17.59 4 17.3L7 14H6.7C6.3 13.99 5.94 13.75 5.79 13.38C5.64 13.01 5.72 12.59 6 12.3L9 9H8.8C8.38 9.04 7.98 8.81 7.81 8.43C7.63 8.05 7.7 7.6 8 7.3L12 3L16 7.3C16.3 7.6 16.37 8.05 16.19 8.43C16.02 8.81 15.62 9.04 15.2 9H15L18 12.3C18.28 12.59 18.36 13.01 18.21 13.38C18.06 13.75 17.7 13.99 17.3 14H17ZM12 22V19',
            'tree pine forest park nature',
        ],
        'trees' => [
            'M10 10V10.2C11.35 10.72 12.14 12.13 11.87 13.56C11.6 14.98 10.35 16.01 8.9 16H5C3.57 15.96 2.36 14.92 2.12 13.51C1.87 12.1 2.66 10.71 4 10.2V10C4 8.34 5.34 7 7 7C8.66 7 10 8.34 10 10ZM7 16V22M13 19V22M12 19H20.3C20.7 18.99 21.06 18.75 21.21 18.38C21.36 18.01 21.28 17.59 21 17.3L18 14H18.3C18.7 13.99 19.06 13.75 19.21 13.38C19.36 13.01 19.28 12.59 19 12.3L16 9H16.2C16.62 9.04 17.02 8.81 17.19 8.43C17.37 8.05 17.3 7.6 17 7.3L13 3L11.6 4.5',
            'trees tree forest park nature',
        ],
        'trending-down' => [
            'M16 17H22V11M22 17L13.5 8.5L8.5 13.5L2 7',
            'trending down statistics',
        ],
        'trending-up' => [
            'M16 7H22V13M22 7L13.5 15.5L8.5 10.5L2 17',
            'trending up statistics',
        ],
        'triangle' => [
            'M13.73 4C13.37 3.38 12.71 3 12 3C11.29 3 10.63 3.38 10.27 4L2.27 18C1.91 18.62 1.91 19.38 2.27 20C2.63 20.62 3.29 21 4 21H20C20.71 21 21.37 20.62 21.73 20C22.09 19.38 22.09 18.62 21.73 18Z',
            'triangle equilateral delta shape pyramid hierarchy',
        ],
        'triangle-alert' => [
            'M21.73 18L13.73 4C13.37 3.37 12.71 2.99 11.99 2.99C11.27 2.99 10.61 3.37 10.25 4L2.25 18C1.89 18.62 1.89 19.39 2.25 20.01C2.62 20.63 3.28 21.01 4 21H20C20.71 21 21.37 20.62 21.73 20C22.09 19.38 22.09 18.62 21.73 18M12 9V13M12 17H12.01',
            'triangle alert warning danger exclamation mark linter',
        ],
        'trophy' => [
            'M10 14.66V17C10 17.55 9.55 18 9 18C7.9 18 7 18.9 7 20V22M14 14.66V17C14 17.55 14.45 18 15 18C16.1 18 17 18.9 17 20V22M17.92 10H19.5C20.88 10 22 8.88 22 7.5V5C22 4.45 21.55 4 21 4H18M4 22H20M6 9C6 12.31 8.69 15 12 15C15.31 15 18 12.31 18 9V3C18 2.45 17.55 2 17 2H7C6.45 2 6 2.45 6 3ZM6.08 10H4.5C3.12 10 2 8.88 2 7.5V5C2 4.45 2.45 4 3 4H6',
            'trophy prize sports winner achievement award champion celebration victory competition tournament leaderboard ranking success reward cup first gold',
        ],
        'truck' => [
            'M14 18V6C14 4.9 13.1 4 12 4H4C2.9 4 2 4.9 2 6V17C2 17.55 2.45 18 3 18H5M15 18H9M19 18H21C21.55 18 22 17.55 22 17V13.35C22 13.12 21.92 12.9 21.78 12.73L18.3 8.38C18.11 8.14 17.82 8 17.52 8H14M15 18C15 19.1 15.9 20 17 20C18.1 20 19 19.1 19 18C19 16.9 18.1 16 17 16C15.9 16 15 16.9 15 18ZM5 18C5 19.1 5.9 20 7 20C8.1 20 9 19.1 9 18C9 16.9 8.1 16 7 16C5.9 16 5 16.9 5 18Z',
            'truck delivery van shipping haulage lorry',
        ],
        'turtle' => [
            'M12 10L14 14V17C14 17.55 14.45 18 15 18H17C17.55 18 18 17.55 18 17V14C18 9.58 14.42 6 10 6C5.58 6 2 9.58 2 14V17C2 17.55 2.45 18 3 18H5C5.55 18 6 17.55 6 17V14L8 10H12ZM4.82 7.9L8 10M15.18 7.9L12 10M16.93 10H20C21.1 10 22 10.9 22 12C22 13.1 21.1 14 20 14H2',
            'turtle animal pet tortoise slow speed',
        ],
        'tv' => [
            'M17 2L12 7L7 2M4 7H20C21.1 7 22 7.9 22 9V20C22 21.1 21.1 22 20 22H4C2.9 22 2 21.1 2 20V9C2 7.9 2.9 7 4 7Z',
            'tv television stream display widescreen high definition hd smart digital video entertainment showtime channels terrestrial satellite cable broadcast live frequency tune scan aerial receiver transmission signal connection connectivity',
        ],
        'type' => [
            'M12 4V20M4 7V5C4 4.45 4.45 4 5 4H19C19.55 4 20 4.45 20 5V7M9 20H15',
            'type text font typography',
        ],
        'umbrella' => [
            'M12 13V20C12 21.1 12.9 22 14 22C15.1 22 16 21.1 16 20M12 2V4M20.99 13C21.31 13 21.61 12.86 21.8 12.61C21.99 12.36 22.05 12.03 21.96 11.73C20.8 7.18 16.7 4 12 4C7.3 4 3.21 7.18 2.04 11.73C1.95 12.03 2.01 12.35 2.2 12.6C2.39 12.85 2.69 13 3 13Z',
            'umbrella rain weather',
        ],
        'university' => [
            'M14 21V18C14 16.9 13.1 16 12 16C10.9 16 10 16.9 10 18V21M18 12H18.01M18 16H18.01M22 7C22 6.45 21.55 6 21 6H19C18.59 6 18.19 5.87 17.86 5.64L13.14 2.36C12.46 1.88 11.54 1.88 10.86 2.36L6.14 5.64C5.81 5.87 5.41 6 5 6H3C2.45 6 2 6.45 2 7V19C2 20.1 2.9 21 4 21H20C21.1 21 22 20.1 22 19ZM6 12H6.01M6 16H6.01M10 10C10 11.1 10.9 12 12 12C13.1 12 14 11.1 14 10C14 8.9 13.1 8 12 8C10.9 8 10 8.9 10 10Z',
            'university building education childhood school college academy institute',
        ],
        'unlink' => [
            'M18.84 12.25L20.56 10.54H20.54C22.46 8.55 22.4 5.39 20.42 3.47C18.48 1.6 15.41 1.6 13.47 3.47L11.75 5.18M5.17 11.75L3.46 13.46C1.54 15.45 1.6 18.61 3.58 20.53C5.52 22.4 8.59 22.4 10.53 20.53L12.24 18.82M8 2L8 5M2 8L5 8M16 19L16 22M19 16L22 16',
            'unlink url unchain',
        ],
        'user' => [
            'M19 21V19C19 16.79 17.21 15 15 15H9C6.79 15 5 16.79 5 19V21M8 7C8 9.21 9.79 11 12 11C14.21 11 16 9.21 16 7C16 4.79 14.21 3 12 3C9.79 3 8 4.79 8 7Z',
            'user person account contact',
        ],
        'users' => [
            'M16 21V19C16 16.79 14.21 15 12 15H6C3.79 15 2 16.79 2 19V21M16 3.13C17.76 3.59 19 5.18 19 7C19 8.82 17.76 10.41 16 10.87M22 21V19C22 17.18 20.76 15.59 19 15.13M5 7C5 9.21 6.79 11 9 11C11.21 11 13 9.21 13 7C13 4.79 11.21 3 9 3C6.79 3 5 4.79 5 7Z',
            'users group people',
        ],
        'utensils' => [
            'M3 2V9C3 10.1 3.9 11 5 11H9C10.1 11 11 10.1 11 9V2M7 2V22M21 15V2C18.24 2 16 4.24 16 7V13C16 14.1 16.9 15 18 15H21ZM21 15V22',
            'utensils fork knife cutlery flatware tableware silverware food restaurant meal breakfast dinner supper',
        ],
        'vegan' => [
            'M16 8C20 8 22 6 22 2C18 2 16 4 16 8M17.41 3.59C13.11 0.83 7.42 1.75 4.21 5.72C1.01 9.7 1.32 15.46 4.93 19.07C8.54 22.68 14.3 22.99 18.28 19.79C22.25 16.58 23.17 10.89 20.41 6.59M2 2C8.11 6.87 11.77 14.19 12 22C12.9 15.18 13.5 12.5 16 8',
            'vegan vegetarian fruitarian herbivorous animal rights diet',
        ],
        'volleyball' => [
            'M11 7C15.08 7 19.01 8.56 21.98 11.36M12 12C9.9 14.75 6.78 16.55 3.34 17M16.83 13.63C14.79 17.17 11.47 19.79 7.56 20.96M20.66 17C18.56 14.25 15.44 12.45 12 12C10.67 8.8 10.67 5.2 12 2M8.17 15.37C6.13 11.83 5.52 7.65 6.46 3.68M2 12C2 17.52 6.48 22 12 22C17.52 22 22 17.52 22 12C22 6.48 17.52 2 12 2C6.48 2 2 6.48 2 12Z',
            'volleyball beach sand net holiday vacation summer soccer football futbol kick pitch goal score bounce leather wool yarn knitting sewing thread embroidery textile',
        ],
        'vote' => [
            'M9 12L11 14L15 10M5 7C5 5.9 5.9 5 7 5H17C18.1 5 19 5.9 19 7V19H5V7ZM22 19H2',
            'vote poll ballot political social check tick',
        ],
        'waves-horizontal' => [
            'M2 12C3.67 13.33 5.33 13.33 7 12C8.67 10.67 10.33 10.67 12 12C13.67 13.33 15.33 13.33 17 12C18.67 10.67 20.33 10.67 22 12M2 19C3.67 20.33 5.33 20.33 7 19C8.67 17.67 10.33 17.67 12 19C13.67 20.33 15.33 20.33 17 19C18.67 17.67 20.33 17.67 22 19M2 5C3.67 6.33 5.33 6.33 7 5C8.67 3.67 10.33 3.67 12 5C13.67 6.33 15.33 6.33 17 5C18.67 3.67 20.33 3.67 22 5',
            'waves horizontal water sea sound hertz wavelength vibrate ocean swimming frequency',
        ],
        'waypoints' => [
            'M10.59 5.41L5.41 10.59M18.59 13.41L13.41 18.59M6 12H18M10 20C10 21.1 10.9 22 12 22C13.1 22 14 21.1 14 20C14 18.9 13.1 18 12 18C10.9 18 10 18.9 10 20ZM10 4C10 5.1 10.9 6 12 6C13.1 6 14 5.1 14 4C14 2.9 13.1 2 12 2C10.9 2 10 2.9 10 4ZM18 12C18 13.1 18.9 14 20 14C21.1 14 22 13.1 22 12C22 10.9 21.1 10 20 10C18.9 10 18 10.9 18 12ZM2 12C2 13.1 2.9 14 4 14C5.1 14 6 13.1 6 12C6 10.9 5.1 10 4 10C2.9 10 2 10.9 2 12Z',
            'waypoints indirection vpn virtual private network proxy connections bounce reroute path journey planner stops stations shared spread viral',
        ],
        'wheat' => [
            'M2 22L16 8M3.47 12.53L5 11L6.53 12.53C7.89 13.9 7.89 16.1 6.53 17.47L5 19L3.47 17.47C2.11 16.1 2.11 13.9 3.47 12.53ZM7.47 8.53L9 7L10.53 8.53C11.89 9.9 11.89 12.1 10.53 13.47L9 15L7.47 13.47C6.11 12.1 6.11 9.9 7.47 8.53ZM11.47 4.53L13 3L14.53 4.53C15.89 5.9 15.89 8.1 14.53 9.47L13 11L11.47 9.47C10.11 8.1 10.11 5.9 11.47 4.53ZM20 2H22V4C22 6.21 20.21 8 18 8H16V6C16 3.79 17.79 2 20 2ZM11.47 17.47L13 19L11.47 20.53C10.1 21.89 7.9 21.89 6.53 20.53L5 19L6.53 17.47C7.9 16.11 10.1 16.11 11.47 17.47ZM15.47 13.47L17 15L15.47 16.53C14.1 17.89 11.9 17.89 10.53 16.53L9 15L10.53 13.47C11.9 12.11 14.1 12.11 15.47 13.47ZM19.47 9.47L21 11L19.47 12.53C18.1 13.89 15.9 13.89 14.53 12.53L13 11L14.53 9.47C15.9 8.11 18.1 8.11 19.47 9.47Z',
            'wheat corn cereal grain gluten',
        ],
        'wheat-off' => [
            'M2 22L12 12M16 8L14.83 9.17M3.47 12.53L5 11L6.53 12.53C7.89 13.9 7.89 16.1 6.53 17.47L5 19L3.47 17.47C2.11 16.1 2.11 13.9 3.47 12.53ZM8 8L7.47 8.53C6.11 9.9 6.11 12.1 7.47 13.47L9 15L10.53 13.47C11.08 12.92 11.41 12.22 11.51 11.5M10.91 5.26C11.06 5 11.25 4.75 11.47 4.53L13 3L14.53 4.53C15.77 5.78 15.89 7.76 14.81 9.15M20 2H22V4C22 6.21 20.21 8 18 8H16V6C16 3.79 17.79 2 20 2ZM11.47 17.47L13 19L11.47 20.53C10.1 21.89 7.9 21.89 6.53 20.53L5 19L6.53 17.47C7.9 16.11 10.1 16.11 11.47 17.47ZM16 16L15.47 16.53C14.1 17.89 11.9 17.89 10.53 16.53L9 15L10.53 13.47C11.06 12.94 11.75 12.6 12.5 12.49M18.74 13.09C19 12.94 19.25 12.75 19.47 12.53L21 11L19.47 9.47C18.22 8.23 16.24 8.11 14.85 9.19M2 2L22 22',
            'wheat off corn cereal grain gluten free allergy intolerance diet',
        ],
        'wifi' => [
            'M12 20H12.01M2 8.82C7.69 3.73 16.31 3.73 22 8.82M5 12.86C8.89 9.05 15.11 9.05 19 12.86M8.5 16.43C10.44 14.52 13.56 14.52 15.5 16.43',
            'wifi connection signal wireless',
        ],
        'wind' => [
            'M12.8 19.6C13.5 20.12 14.45 20.13 15.16 19.63C15.87 19.13 16.17 18.22 15.91 17.39C15.64 16.56 14.87 16 14 16H2M17.5 8C18.21 7.06 19.47 6.74 20.54 7.23C21.61 7.72 22.19 8.88 21.94 10.03C21.69 11.18 20.68 12 19.5 12H2M9.8 4.4C10.5 3.88 11.45 3.87 12.16 4.37C12.87 4.87 13.17 5.78 12.91 6.61C12.64 7.44 11.87 8 11 8H2',
            'wind weather air blow',
        ],
        'wine' => [
            'M8 22H16M7 10H17M12 15V22M12 15C14.76 15 17 12.76 17 10C17 8 16.5 6 15 2H9C7.5 6 7 8 7 10C7 12.76 9.24 15 12 15Z',
            'wine alcohol beverage bar drink glass sommelier vineyard winery',
        ],
        'workflow' => [
            'M5 3H9C10.1 3 11 3.9 11 5V9C11 10.1 10.1 11 9 11H5C3.9 11 3 10.1 3 9V5C3 3.9 3.9 3 5 3ZM7 11V15C7 16.1 7.9 17 9 17H13M15 13H19C20.1 13 21 13.9 21 15V19C21 20.1 20.1 21 19 21H15C13.9 21 13 20.1 13 19V15C13 13.9 13.9 13 15 13Z',
            'workflow action continuous integration ci automation devops network node connection',
        ],
        'worm' => [
            'M19 12L17.5 15M19.63 18.81L22 20M6.47 8.23C7.06 7.89 7.8 7.95 8.34 8.38C8.87 8.8 9.1 9.5 8.91 10.16L8.27 12.24C7.42 14.97 8.37 17.93 10.65 19.65C12.93 21.37 16.04 21.48 18.43 19.91L18.85 19.64C19.6 19.15 20.04 18.3 19.99 17.41C19.94 16.51 19.42 15.71 18.63 15.3C17.83 14.89 16.87 14.94 16.12 15.43L15.7 15.7C15.08 16.09 14.28 16.06 13.69 15.62C13.11 15.17 12.86 14.41 13.07 13.71L13.71 11.63C14.55 8.99 13.67 6.11 11.5 4.39C9.32 2.67 6.32 2.48 3.94 3.9L3.24 4.3C2.04 5 1.64 6.55 2.35 7.75C3.05 8.94 4.59 9.34 5.79 8.64Z',
            'worm invertebrate grub larva snake crawl wiggle slither pest control computer virus malware',
        ],
        'wrench' => [
            'M14.7 6.3C14.32 6.69 14.32 7.31 14.7 7.7L16.3 9.3C16.69 9.68 17.31 9.68 17.7 9.3L20.81 6.2C21.13 5.87 21.67 5.98 21.79 6.41C22.41 8.66 21.67 11.05 19.9 12.57C18.13 14.08 15.65 14.43 13.53 13.47L5.62 21.38C4.79 22.21 3.45 22.21 2.62 21.38C1.79 20.55 1.79 19.21 2.62 18.38L10.53 10.47C9.57 8.35 9.92 5.87 11.44 4.1C12.95 2.33 15.34 1.59 17.59 2.21C18.03 2.33 18.13 2.87 17.81 3.19Z',
            'wrench account settings spanner diy toolbox build construction',
        ],
        'zap' => [
            'M15.91 4C16.15 3.34 15.89 2.61 15.3 2.23C14.71 1.86 13.94 1.94 13.44 2.44L4.44 11.44C4.01 11.87 3.88 12.51 4.11 13.07C4.35 13.63 4.89 14 5.5 14H9.5C9.66 14 9.82 14.08 9.91 14.21C10 14.34 10.03 14.51 9.97 14.67L8.09 20C7.85 20.66 8.11 21.39 8.7 21.77C9.29 22.14 10.07 22.06 10.56 21.56L19.56 12.56C19.99 12.13 20.12 11.49 19.89 10.93C19.65 10.37 19.11 10 18.5 10H14.5C14.34 10 14.19 9.92 14.09 9.79C14 9.66 13.98 9.49 14.03 9.33Z',
            'zap flash camera lightning electricity energy power quick',
        ],
    ];
}
