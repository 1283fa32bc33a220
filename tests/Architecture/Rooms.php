<?php

declare(strict_types=1);

namespace Olvek\Tests\Architecture;

/** Every room of the house, and which others it may know: only such as stand before it. What each is stands in docs/architecture.md. */
final class Rooms
{
    public const CORE = [
        'TimeLimit' => [],
        'Unit' => [],
        'Field' => ['Unit'],
        'Supply' => ['Field'],
        'Plant' => ['Unit'],
        'Animal' => ['Unit', 'Field'],
        'Hardscape' => ['Unit', 'Field', 'Supply'],
        'Light' => ['Unit', 'Field'],
        'Vessel' => ['Unit', 'Field'],
        'Water' => ['Unit', 'Field'],
        'Bed' => ['Unit', 'Field', 'Vessel'],
        'Event' => ['Unit', 'Field', 'Water'],
        'Catalogue' => ['Unit', 'Plant', 'Animal', 'Hardscape', 'Light', 'Vessel', 'Water', 'Bed'],
        'Plan' => ['Unit', 'Field', 'Supply', 'Plant', 'Animal', 'Hardscape', 'Light', 'Vessel', 'Water', 'Bed', 'Event', 'Catalogue'],
        'Buying' => ['Unit', 'Supply', 'Plant', 'Animal', 'Hardscape', 'Vessel', 'Water', 'Bed', 'Catalogue', 'Plan'],
        'Change' => ['Unit', 'Field', 'Supply', 'Plant', 'Hardscape', 'Light', 'Vessel', 'Bed', 'Event', 'Catalogue', 'Plan'],
        'Run' => ['Unit', 'Plant', 'Animal', 'Hardscape', 'Light', 'Water', 'Bed', 'Event', 'Plan'],
        'Log' => ['Unit', 'Water', 'Event', 'Plan', 'Run'],
        'Margin' => ['TimeLimit', 'Unit', 'Plant', 'Animal', 'Light', 'Water', 'Bed', 'Event', 'Plan', 'Change', 'Run'],
        'Suit' => ['Unit', 'Plant', 'Animal', 'Light', 'Plan', 'Run', 'Margin'],
        'Review' => ['Unit', 'Plant', 'Animal', 'Hardscape', 'Vessel', 'Bed', 'Plan', 'Change', 'Run'],
        'Steps' => ['Unit', 'Plant', 'Animal', 'Hardscape', 'Vessel', 'Bed', 'Plan', 'Buying'],
        'Fit' => ['TimeLimit', 'Water', 'Event', 'Run', 'Log'],
        'Care' => ['Unit', 'Plant', 'Event', 'Plan', 'Buying', 'Run', 'Log'],
        'Solve' => [
            'TimeLimit',
            'Unit',
            'Field',
            'Supply',
            'Plant',
            'Animal',
            'Light',
            'Vessel',
            'Water',
            'Bed',
            'Event',
            'Catalogue',
            'Plan',
            'Buying',
            'Change',
            'Run',
            'Margin',
            'Suit',
            'Review',
            'Care',
        ],
        'Stress' => ['TimeLimit', 'Unit', 'Animal', 'Event', 'Plan', 'Run', 'Margin'],
        'Start' => ['Unit', 'Water', 'Event', 'Plan', 'Log', 'Margin', 'Fit', 'Care'],
    ];

    public const APPLICATION = [
        'Drawing' => [],
        'Site' => [],
        'Account' => ['Drawing', 'Site'],
        'Tank' => ['Account'],
        'Work' => ['Site', 'Account'],
        'Device' => ['Site', 'Tank'],
        'Editing' => ['Site', 'Account', 'Tank'],
        'Judging' => ['Drawing', 'Site', 'Tank', 'Work'],
        'Settings' => ['Site', 'Account', 'Tank'],
        'Bench' => ['Drawing', 'Site', 'Account', 'Tank', 'Work', 'Editing', 'Judging'],
        'Palette' => ['Drawing', 'Site', 'Account', 'Tank', 'Editing', 'Judging'],
        'Command' => ['Site', 'Judging'],
        'Server' => ['Site', 'Account', 'Tank', 'Settings'],
        'Task' => ['Site', 'Tank', 'Editing'],
        'Build' => ['Drawing', 'Site', 'Account', 'Tank', 'Editing', 'Task'],
        'Log' => ['Account', 'Tank', 'Task'],
        'Demo' => ['Account', 'Tank', 'Device', 'Editing', 'Build', 'Log'],
        'Weeks' => ['Drawing', 'Site', 'Account', 'Tank', 'Work', 'Device', 'Editing', 'Build', 'Log'],
        'Almanac' => ['Site', 'Account', 'Tank', 'Task', 'Build', 'Log', 'Weeks'],
        'Transfer' => ['Site', 'Account', 'Tank', 'Work', 'Device', 'Bench', 'Task', 'Build', 'Log', 'Almanac'],
        'Shelf' => ['Drawing', 'Site', 'Account', 'Tank', 'Editing', 'Judging', 'Log', 'Almanac'],
    ];
}
