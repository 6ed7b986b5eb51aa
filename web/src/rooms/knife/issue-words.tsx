interface IssueWordsProps {
  issue: { path: readonly PropertyKey[]; message: string } | null | undefined
}

/** What the contract refuses of what was entered: the field and why. */
export const IssueWords = ({ issue }: IssueWordsProps) =>
  issue ? (
    <p className="refusal" role="alert">
      {issue.path.join(' ')} {issue.message}
    </p>
  ) : null
