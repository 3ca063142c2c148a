<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\ClientRepository;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Controller\ValueResolverInterface;
use Symfony\Component\HttpKernel\ControllerMetadata\ArgumentMetadata;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Gives controllers the sitting of the address, if it is one of the own clinic. */
#[AutoconfigureTag(
    'controller.argument_value_resolver',
    ['priority' => 150],
)] // before the one that hands on what stands in the address
final readonly class SittingFromRoute implements ValueResolverInterface
{
    public function __construct(
        private SittingRepository $sittings,
        private ClientRepository $clients,
        private Who $who,
        private Audit $audit,
    ) {
    }

    /** @return iterable<Sitting> */
    public function resolve(Request $request, ArgumentMetadata $argument): iterable
    {
        if (Sitting::class !== $argument->getType()) {
            return [];
        }
        $named = $request->attributes->get('sitting');
        $id = \is_string($named) ? $named : '';
        if (!$request->isMethodSafe()) { // before it is read: what others are changing is waited for
            $this->clients->findToChange(
                $this->who->clinicId(),
                $this->sittings->clientOf($this->who->clinicId(), $id),
            );
        }
        $sitting = $this->sittings->find($this->who->clinicId(), $id)
            ?? throw new NotFoundHttpException('No such sitting.');
        if ($request->isMethodSafe()) {
            $this->audit->read('sitting', $sitting->clientId);
        }

        return [$sitting];
    }
}
