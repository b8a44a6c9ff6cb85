export { approvalStanding, dayNumber, type ApprovalStanding, type ApprovalTolerance } from './approval.ts';
export {
  type Approval,
  approvals,
  type Contact,
  contacts,
  type Cover,
  COVERS,
  coverUps,
  type CoverUp,
  type HandOver,
  handOvers,
  PHOTO_SUBJECTS,
  type Photograph,
  photos,
  type Seal,
  seals,
} from './facts.ts';
