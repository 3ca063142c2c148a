<?php

declare(strict_types=1);

namespace HandGarden\Desk\Demo;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\Staff;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Home\ConsentKind;
use HandGarden\Core\Home\ConsentWay;
use HandGarden\GroupWork\HandClass;
use HandGarden\Home\Consent;
use HandGarden\Web\Clock;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** The class of the demonstration: who sits in it agreed to that. */
final readonly class DemoClass
{
    public function __construct(
        private EntityManagerInterface $entities,
        private CatalogueStore $catalogue,
        #[Autowire('%kernel.project_dir%/demo/class.json')]
        private string $file,
    ) {
    }

    /** @param array<string, Client> $clients by the name of their story */
    public function make(array $clients, Staff $lead, \DateTimeImmutable $now): void
    {
        $told = Node::fromJson((string) file_get_contents($this->file));
        $class = new HandClass(
            $lead->clinicId,
            $told->get('name')->string(),
            $lead->id,
            $now->modify('-20 days'),
        );
        foreach ($told->get('places')->strings() as $name) {
            $class->takeIn($clients[$name]);
            $this->entities->persist(new Consent(
                $clients[$name]->clinicId,
                $clients[$name]->id,
                ConsentKind::GroupWork,
                $clients[$name]->name(),
                way: ConsentWay::Spoken,
                givenOn: Clock::dayOf($now, $clients[$name]->zone)->modify('-21 days'),
                words: '',
                keptById: $lead->id,
                keptAt: $now->modify('-21 days'),
            ));
        }
        foreach ($told->get('exercises')->strings() as $id) {
            $class->rungs[] = $this->catalogue->get()->rung($id)->id;
        }
        $this->entities->persist($class);
        $this->entities->flush();
    }
}
