<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Symfony\Component\Uid\Uuid;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/**
 * A ladder as one file, out and in, in the format of the catalogue; what comes in becomes own exercises of the
 * clinic.
 */
#[IsGranted('ROLE_THERAPIST')]
final class ExchangeLadder extends AbstractController
{
    private const MOST_BYTES = 400_000;

    public function __construct(
        private readonly CatalogueStore $store,
        private readonly WrittenRungs $written,
        private readonly OwnExercises $exercises,
        private readonly OwnExerciseMaker $maker,
        private readonly Who $who,
        private readonly Audit $audit,
    ) {
    }

    #[Route(
        '/exercises/ladder/{ladder}.{format}',
        name: 'library_export',
        requirements: ['ladder' => '[a-z]+-\d+', 'format' => 'yaml|json'],
        methods: ['GET'],
    )]
    public function export(string $ladder, string $format): Response
    {
        foreach ($this->store->get()->ladders() as $found) {
            if ($found->key === $ladder) {
                $this->audit->read('library_export', null);

                return self::download($this->written->ladder($ladder), $ladder, $format);
            }
        }

        throw $this->createNotFoundException('No such ladder.');
    }

    #[Route(
        '/exercises/own.{format}',
        name: 'library_own_export',
        requirements: ['format' => 'yaml|json'],
        methods: ['GET'],
    )]
    public function exportOwn(string $format): Response
    {
        $rungs = array_map(
            static fn (OwnExercise $one): array => ['id' => $one->key] + $one->written + (
                [] === $one->pose ? [] : ['pose' => $one->pose]
            ),
            $this->exercises->current($this->who->clinicId()),
        );

        $this->audit->read('library_own_export', null);

        return self::download(
            ['key' => 'own-1', 'name' => 'Own exercises', 'rungs' => $rungs],
            'own',
            $format,
        );
    }

    #[Route('/exercises/own/import', name: 'library_import', methods: ['POST'], priority: 5)]
    public function import(Request $request): Response
    {
        $file = $request->files->get('file');
        try {
            $text = $file instanceof UploadedFile
                && $file->isValid()
                && $file->getSize() <= self::MOST_BYTES
                ? $file->getContent()
                : throw InvalidData::at('file', 'choose a YAML or JSON file of at most 400 kB');
            $made = $this->read($text);
            foreach ($made as $one) {
                $this->exercises->keep($one);
            }
            $this->audit->wrote('took in a ladder file', null, (string) \count($made));
            $this->addFlash(
                'done',
                \sprintf('%d exercises taken in as own exercises.', \count($made)),
            );
        } catch (InvalidData $e) {
            $this->addFlash('problem', 'Nothing was taken in. '.$e->getMessage());
        }

        return $this->redirectToRoute('library_exercises', [], Response::HTTP_SEE_OTHER);
    }

    /**
     * All of the file or nothing.
     *
     * @return list<OwnExercise>
     *
     * @throws InvalidData naming the path
     */
    private function read(string $text): array
    {
        try {
            $root = Node::outside(Yaml::parse($text), 'file'); // JSON is YAML too
        } catch (ParseException $e) {
            throw InvalidData::at('file', $e->getMessage());
        }
        $strand = $root->optional('strand')?->string();
        $made = [];
        foreach ($root->get('rungs')->items() as $i => $rung) {
            $written = array_map(static fn (Node $n): mixed => $n->raw(), $rung->map());
            $pose = \is_array($written['pose'] ?? null) ? $written['pose'] : [];
            unset($written['id'], $written['pose']);
            $written['strand'] ??= $strand;
            try {
                /** @var array<string, array<string, mixed>> $pose */
                $made[] = $this->maker->make(
                    substr(Uuid::v4()->toRfc4122(), 0, 8),
                    1,
                    new OwnExerciseForm($written, $pose),
                );
            } catch (InvalidData $e) {
                throw InvalidData::at("file.rungs[$i]".('' === $e->path ? '' : '.'.$e->path), $e->problem);
            }
        }

        return $made;
    }

    /** @param array<mixed> $data */
    private static function download(array $data, string $name, string $format): Response
    {
        $response = 'json' === $format
            ? (new JsonResponse($data))->setEncodingOptions(
                \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION,
            )
            : new Response(Yaml::dump($data, 6, 2), 200, ['Content-Type' => 'application/yaml']);
        $response->headers->set(
            'Content-Disposition',
            'attachment; filename="'.$name.'.'.$format.'"',
        );

        return $response;
    }
}
