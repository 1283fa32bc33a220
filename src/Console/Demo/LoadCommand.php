<?php

declare(strict_types=1);

namespace Olvek\Console\Demo;

use Olvek\Core\Planning\Event\EventKind;
use Olvek\Core\Planning\Event\Feed;
use Olvek\Core\Planning\Event\Lost;
use Olvek\Core\Planning\Event\Spell;
use Olvek\Core\Planning\Plan\PlanDocument;
use Olvek\Service\Account\Keeper;
use Olvek\Service\Account\KeeperRepository;
use Olvek\Service\Account\Today;
use Olvek\Service\Device\DeviceKind;
use Olvek\Service\Device\Devices;
use Olvek\Service\Editing\TankEditor;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

#[AsCommand('olvek:demo:load', 'Puts the invented ferry landing’s shelf into the database, once')]
final class LoadCommand extends Command
{
    /** Days since the waiting hall was filled. */
    private const AGE = 243;

    public function __construct(
        private readonly KeeperRepository $keepers,
        private readonly TankEditor $editor,
        private readonly PlanDocument $document,
        private readonly Diary $diary,
        private readonly EightMonths $months,
        private readonly Devices $devices,
        private readonly Today $today,
        #[Autowire('%kernel.project_dir%/demo')] private readonly string $folder,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (null !== $this->keepers->named(Keeper::DEMO)) {
            $output->writeln('The ferry landing is here already.');

            return Command::SUCCESS;
        }
        // Nobody knows this password: the demo is entered by its button, where demo mode is on.
        $keeper = $this->keepers->enrol(Keeper::DEMO, 'The ferry landing', bin2hex(random_bytes(24)));
        $today = $this->today->of($keeper);
        foreach (['waiting-hall', 'ticket-window', 'galley', 'terrace'] as $name) {
            $json = file_get_contents("$this->folder/$name.plan.json");
            \assert(\is_string($json));
            $plan = $this->document->fromJson($json);
            $tank = $this->editor->begin($keeper, $plan, 'created');
            if ('waiting-hall' === $name) {
                $lived = $this->diary->write(
                    $tank,
                    $plan,
                    $today,
                    self::AGE,
                    [1, 2, 5, 8, 12, 16, 20, 24, 28, 29, 35, 42, 43, 49, 56, 70, 84, 98, 112, 140, 168, 196, 224, 240],
                    // Its plants grow less than they might, and its keeper feeds with a full hand.
                    ['plantGrowth' => 0.8],
                    [49 => false, 98 => true, 105 => true, 112 => true, 119 => true, 126 => false, 196 => false],
                    [
                        new Spell(...EightMonths::HEAT),
                        new Feed(28, 0.08),
                        ...array_map(static fn (array $l): Lost => new Lost($l[0], $l[1], $l[2]), EightMonths::LOSSES),
                    ],
                );
                $this->months->write($tank, $lived, $today, self::AGE);
            } elseif ('galley' === $name) {
                // Its soil gives off more than the plan thought, its plants melt, and the bottle held less.
                $this->diary->done($tank, $today->modify('-9 days'), EventKind::Bacteria, 1.0);
                $this->diary->write(
                    $tank,
                    $plan,
                    $today,
                    9,
                    [1, 2, 3, 4, 5, 7, 8],
                    ['flushFactor' => 4.0, 'nitriteInoculum' => 0.1, 'comammox' => 0.2, 'plantGrowth' => 0.2],
                    [7 => false],
                );
                $this->devices->wire($tank, DeviceKind::Lamp, 'galley-lamp');
                $this->devices->wire($tank, DeviceKind::Probe, 'galley-probe');
            }
        }
        $output->writeln('The ferry landing’s shelf is ready.');

        return Command::SUCCESS;
    }
}
