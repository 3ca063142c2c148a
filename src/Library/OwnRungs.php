<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Account\ClinicScope;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\DrawingReader;
use HandGarden\Content\LadderReader;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Catalogue\MoreRungs;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Drawing\NamedPose;
use Symfony\Component\DependencyInjection\Attribute\AutowireLocator;
use Symfony\Component\DependencyInjection\ServiceLocator;
use Symfony\Contracts\Service\ResetInterface;

/** Reads the clinic's own exercises by the same rules as the files. */
final class OwnRungs implements MoreRungs, ResetInterface
{
    private ?LadderReader $reader = null;

    /** @var array<string, array{Ladder, Rung}|null> */
    private array $found = [];

    /** @param ServiceLocator<CatalogueStore> $catalogue asked late, because the catalogue asks here */
    public function __construct(
        private readonly OwnExercises $exercises,
        private readonly ClinicScope $scope,
        #[AutowireLocator([CatalogueStore::class])]
        private readonly ServiceLocator $catalogue,
    ) {
    }

    public function find(string $id): ?array
    {
        $parts = OwnExercise::keyAndVersion($id);
        if (null === $parts) {
            return null;
        }
        if (!\array_key_exists($id, $this->found)) {
            $clinicId = $this->scope->clinicId();
            $kept = null === $clinicId ? null : $this->exercises->version($clinicId, ...$parts);
            $this->found[$id] = null === $kept ? null : $this->for($kept);
        }

        return $this->found[$id];
    }

    /** @return array{Ladder, Rung} */
    public function for(OwnExercise $kept): array
    {
        return $this->read($kept->rungId(), $kept->written, $kept->pose);
    }

    /**
     * @param array<mixed> $written as in a ladder file
     * @param array<mixed> $pose    start and end
     *
     * @return array{Ladder, Rung}
     *
     * @throws InvalidData naming the path inside the exercise
     */
    public function read(string $id, array $written, array $pose): array
    {
        $node = Node::root(['id' => $id] + array_diff_key($written, ['strand' => 1]));
        $this->reader ??= LadderReader::from($this->catalogue->get(CatalogueStore::class)->get());
        $rung = $this->reader->rung($node, false);
        $picture = $rung->picture();
        if ([] !== $pose) {
            $own = [];
            foreach (['start', 'end'] as $which) {
                $angles = Node::root($pose[$which] ?? null, 'pose.'.$which);
                $own[$id.':'.$which] = new NamedPose($id.':'.$which, DrawingReader::pose($angles));
            }
            $picture = $picture->withOwnPoses($id.':start', $id.':end', $own);
        }
        $strand = Node::root($written)->get('strand')->enum(Strand::class);
        $rung = $rung->withPicture($id, $picture);

        return [
            new Ladder(
                'own',
                $strand,
                'Own exercises of this clinic',
                LadderKind::Menu,
                entryWords: 'As the exercise says.',
                moveUpWords: 'As the therapist decides.',
                easeWords: 'less of it, then leave it out',
                insteadBelow: null,
                rounds: 1,
                rungs: [$rung],
            ),
            $rung,
        ];
    }

    public function reset(): void
    {
        $this->found = [];
    }
}
